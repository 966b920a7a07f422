import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** Folders under src/lib that each folder must not import from: the data flows one way. */
const closed = {
	core: ['worker', 'server', 'ui'],
	worker: ['server', 'ui'],
	server: ['worker', 'ui'],
	ui: ['server']
};

/** Folders of core, and rooms in them, in the order in which the data flows: none imports from one that comes after it. */
const order = {
	'': 'month paper hand draw theme cuts forms wish catalogue fit page guide making records goals next render labels formats',
	forms: 'form parts lists calendars trackers logs weeks opening around',
	fit: 'solve plan choices members problem compose advice',
	'fit/solve': 'counted packing problem pages run',
	making: 'means order month',
	records: 'values read tallies',
	render: 'pages fonts out',
	formats: 'schema document outside'
};

/** Every folder of core with what it may not import: what comes after it, and after each folder around it. */
const upward = Object.entries(order).flatMap(([around, names]) =>
	names.split(' ').map((name) => {
		const path = around ? `${around}/${name}` : name;
		const parts = path.split('/');
		const later = parts.flatMap((part, depth) => {
			const siblings = order[parts.slice(0, depth).join('/')].split(' ');
			const up = '../'.repeat(parts.length - depth);
			return siblings.slice(siblings.indexOf(part) + 1).map((after) => `${up}${after}`);
		});
		return { path, group: later.flatMap((after) => [after, `${after}/*`]) };
	})
);

/** Import patterns for a folder, relative and through the $lib alias. */
const patterns = (/** @type {string[]} */ folders) =>
	folders.flatMap((name) => [`$lib/${name}`, `$lib/${name}/*`, `**/${name}/*`]);

export default ts.config(
	{ ignores: ['node_modules/', '.svelte-kit/', 'build/', 'data/'] },
	js.configs.recommended,
	...ts.configs.strict,
	...svelte.configs.recommended,
	{ languageOptions: { globals: { ...globals.browser, ...globals.node } } },
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: {
			parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig }
		}
	},
	{
		rules: {
			'no-undef': 'off',
			// What is taken out of a value by name is meant to be left aside.
			'@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
			'@typescript-eslint/no-non-null-assertion': 'error',
			'svelte/no-navigation-without-resolve': 'off'
		}
	},
	...Object.entries(closed).map(([folder, others]) => ({
		files: [`src/lib/${folder}/**/*.{ts,svelte}`],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				{
					patterns: [
						{ group: patterns(others), message: `${folder} must not depend on this folder.` },
						...(folder === 'core'
							? [
									{
										group: ['$app/*', 'svelte', 'svelte/*', 'kysely', 'bits-ui'],
										message: 'core is free of interface, framework and database.'
									}
								]
							: [])
					]
				}
			]
		}
	})),
	...upward.map(({ path, group }) => ({
		files: [`src/lib/core/${path}/**/*.ts`],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				{
					patterns: [
						...(group.length > 0 ? [{ group, message: `${path} comes before this folder.` }] : []),
						{
							group: ['$lib/*', '$app/*', 'svelte', 'svelte/*', 'kysely', 'bits-ui'],
							message: 'core is free of interface, framework and database.'
						}
					]
				}
			]
		}
	}))
);
