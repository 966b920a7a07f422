import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	worker: { format: 'es' },
	build: { assetsInlineLimit: 0 },
	test: {
		projects: [
			{
				extends: true,
				test: {
					name: 'unit',
					isolate: false,
					include: ['src/**/*.test.ts'],
					environment: 'node',
					testTimeout: 300_000
				}
			},
			{
				extends: true,
				test: {
					name: 'oracles',
					isolate: false,
					include: ['tests/oracles/**/*.test.ts'],
					environment: 'node',
					testTimeout: 300_000
				}
			},
			{
				extends: true,
				test: {
					name: 'browser',
					isolate: false,
					include: ['tests/e2e/**/*.test.ts'],
					environment: 'node',
					testTimeout: 300_000,
					hookTimeout: 300_000,
					expect: { poll: { timeout: 30_000 } }
				}
			}
		]
	}
});
