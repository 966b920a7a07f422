import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { svelte2tsx } from 'svelte2tsx';
import { root, runBin } from './lib.mjs';

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

const rules = join(folder, 'rules.json');
writeFileSync(
	rules,
	JSON.stringify({
		plugins: ['typescript'],
		categories: { correctness: 'off' },
		rules: {
			'typescript/no-floating-promises': 'error',
			'typescript/no-misused-promises': ['error', { checksVoidReturn: false }]
		}
	})
);

// What lies in a hidden folder is looked at only where each file is named.
const named = components.map((component) => relative(root, join(folder, `${component}.tsx`)));
runBin('oxlint', ['--type-aware', '--config', rules, ...named, 'src', 'tests', 'scripts']);
