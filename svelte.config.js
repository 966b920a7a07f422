import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	kit: {
		output: { bundleStrategy: 'single' },
		adapter: adapter({ precompress: true, out: process.env.HORARIUM_OUT ?? 'build' }),
		typescript: {
			config: (config) => {
				config.include.push('../scripts/**/*.mjs');
			}
		},
		// Foreign pages are refused by src/lib/server/guard.ts, whatever the content type is, in the shape of our
		// other errors.
		csrf: { trustedOrigins: ['*'] },
		// Scripts run only from our own files, or with the nonce of this very response. Style
		// *attributes* carry measured positions (floating menus, drawings), so they are allowed;
		// style elements are not.
		csp: {
			mode: 'nonce',
			directives: {
				'default-src': ['none'],
				'script-src': ['self'],
				'worker-src': ['self'],
				'style-src-elem': ['self'],
				'style-src-attr': ['unsafe-inline'],
				'img-src': ['self', 'data:', 'blob:'],
				'font-src': ['self'],
				'connect-src': ['self'],
				'manifest-src': ['self'],
				'base-uri': ['none'],
				'form-action': ['self'],
				'frame-ancestors': ['none']
			}
		}
	}
};
