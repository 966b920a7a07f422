import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { run } from './lib.mjs';

/** Where there is a browser already, a better one is not waited for longer than it saves. */
const mostInstallingMs = 45_000;
/** Debian's chromiums: the first one there is. The one without a window of its own does as much in less time. */
const browsers = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** Names the browser (`CHROMIUM`); where only the slower one is found, or none, installs Debian's if it can be had. */
export function ensureChromium() {
	if (process.env.CHROMIUM) return;
	const [best = '', other = ''] = browsers;
	if (!existsSync(best)) {
		console.log('Installing chromium …');
		const patience = ['-o', 'Acquire::http::Timeout=10', '-o', 'Acquire::Retries=1'];
		const apt = (/** @type {string[]} */ ...args) =>
			spawnSync('apt-get', [...patience, ...args], {
				stdio: 'inherit',
				...(existsSync(other) ? { timeout: mostInstallingMs } : {})
			}).status === 0;
		const quiet = ['install', '-y', '-qq', '--no-install-recommends'];
		if (!apt('update', '-qq') || !apt(...quiet, 'chromium-headless-shell'))
			if (!existsSync(other)) run('apt-get', [...quiet, 'chromium']);
	}
	process.env.CHROMIUM = existsSync(best) ? best : other;
}
