import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ESLint } from 'eslint';
import { svelte2tsx } from 'svelte2tsx';
import ts from 'typescript-eslint';
import { root } from './lib.mjs';

/*
 * Looks for promises that nobody waits for: what goes wrong in them is lost. Components are turned into TypeScript first, so
 * that everything is one program; otherwise the type checker begins anew for each of them.
 */

const folder = join(root, '.svelte-kit', 'components');
rmSync(folder, { recursive: true, force: true });

const components = readdirSync(join(root, 'src'), { recursive: true, encoding: 'utf8' })
	.filter((path) => path.endsWith('.svelte'))
	.map((path) => join('src', path));
for (const component of components) {
	const path = join(folder, `${component}.tsx`);
	mkdirSync(dirname(path), { recursive: true });
	const { code } = svelte2tsx(readFileSync(join(root, component), 'utf8'), {
		filename: component,
		isTsFile: true,
		mode: 'ts',
		version: '5'
	});
	writeFileSync(path, code);
}
const shims = join(root, 'node_modules/svelte2tsx');
writeFileSync(
	join(folder, 'tsconfig.json'),
	JSON.stringify({
		extends: '../../tsconfig.json',
		compilerOptions: {
			jsx: 'preserve',
			rootDirs: ['../..', '../types', '.'],
			paths: {
				'$lib/*': ['../../src/lib/*', './src/lib/*'],
				'$app/types': ['../types/index.d.ts']
			}
		},
		include: [
			'src/**/*.tsx',
			'../*.d.ts',
			'../types/**/$types.d.ts',
			'../../src/**/*.ts',
			'../../tests/**/*.ts',
			join(shims, 'svelte-shims-v4.d.ts'),
			join(shims, 'svelte-jsx-v4.d.ts')
		],
		exclude: []
	})
);

const eslint = new ESLint({
	cwd: root,
	overrideConfigFile: true,
	overrideConfig: [
		{
			files: ['**/*.{ts,tsx}'],
			languageOptions: {
				parser: ts.parser,
				parserOptions: { project: join(folder, 'tsconfig.json'), tsconfigRootDir: root }
			},
			linterOptions: { reportUnusedDisableDirectives: 'off' },
			plugins: { '@typescript-eslint': ts.plugin },
			rules: {
				'@typescript-eslint/no-floating-promises': 'error',
				'@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }]
			}
		}
	]
});
const results = await eslint.lintFiles([
	'.svelte-kit/components/src/**/*.tsx',
	'src/**/*.ts',
	'tests/**/*.ts'
]);
const said = await (await eslint.loadFormatter('stylish')).format(results);
console.log(said || `${results.length} files wait for all their promises`);
process.exit(results.some(({ errorCount }) => errorCount > 0) ? 1 : 0);
