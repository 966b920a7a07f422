import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** The file that the server's threads run (`src/lib/server/work`). */
export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('src/lib', import.meta.url)) } },
	build: {
		ssr: 'src/lib/server/work/worker.ts',
		outDir: `${process.env.HORARIUM_OUT ?? 'build'}/work`,
		target: 'node20'
	}
});
