import { rmSync } from 'node:fs';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright';

/**
 * Parts of the browser that wait for a network, hold a painted page back, or start a page of their own for each window, as
 * the pop-ups of the address bar do. Given again as a whole, because the last list that is given counts.
 */
const unused = [
	'AimEnabled',
	'AvoidUnnecessaryBeforeUnloadCheckSync',
	'DestroyProfileOnBrowserClose',
	'HttpsFirstBalancedModeAutoEnable',
	'HttpsUpgrades',
	'MediaRouter',
	'NetworkTimeServiceQuerying',
	'OptimizationHints',
	'PaintHolding',
	'PreconnectToSearch',
	'WebUIOmniboxAimPopup',
	'WebUIOmniboxPopup'
];

/** Debian's chromium, without reaching for any network. */
const chromiumHere = {
	executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
	args: [
		'--no-sandbox',
		'--disable-gpu',
		'--disable-quic',
		'--no-first-run',
		'--disable-background-networking',
		'--disable-component-update',
		'--disable-sync',
		// Pages in one process share what is compiled of their scripts.
		'--renderer-process-limit=1',
		'--process-per-site',
		`--disable-features=${unused.join()}`
	]
};

/** A browser whose windows share nothing and leave nothing behind. */
export function launch(): Promise<Browser> {
	return chromium.launch(chromiumHere);
}

/** A window as a person has it. */
const usualWindow = {
	viewport: { width: 1280, height: 800 },
	locale: 'en-GB',
	timezoneId: 'UTC',
	reducedMotion: 'reduce'
} as const;

let ownWindow: Promise<BrowserContext> | undefined;

/**
 * The window that all test files of this process are in: what its browser has compiled once, it keeps. Only with a profile
 * of its own does a browser do that.
 */
export function oneWindow(): Promise<BrowserContext> {
	return (ownWindow ??= (async () => {
		const profile = await mkdtemp(join(tmpdir(), 'horarium-profile-'));
		process.once('exit', () => rmSync(profile, { recursive: true, force: true }));
		const window = { ...chromiumHere, ...usualWindow };
		return patient(await chromium.launchPersistentContext(profile, window));
	})());
}

/** A window as a person has it; every script error and every request that leaves the machine is noted. */
export async function openWindow(
	browser: Browser,
	options: Parameters<Browser['newContext']>[0] = {}
): Promise<{ context: BrowserContext; page: Page; troubles: string[] }> {
	const context = await newWindow(browser, options);
	const page = await context.newPage();
	return { context, page, troubles: watch(page) };
}

async function newWindow(
	browser: Browser,
	options: Parameters<Browser['newContext']>[0] = {}
): Promise<BrowserContext> {
	return patient(await browser.newContext({ ...usualWindow, ...options }));
}

/** Other tests run beside. */
function patient(context: BrowserContext): BrowserContext {
	context.setDefaultTimeout(90_000);
	return context;
}

/** Notes what goes wrong on a page. */
export function watch(page: Page): string[] {
	const troubles: string[] = [];
	page.on('pageerror', (error) => troubles.push(error.message));
	page.on('console', (message) => {
		if (message.type() === 'error' && !message.text().includes('Failed to load resource'))
			troubles.push(message.text());
	});
	page.on('request', (request) => {
		const { hostname, protocol } = new URL(request.url());
		if (protocol.startsWith('http') && hostname !== '127.0.0.1')
			troubles.push(`a request left the machine: ${request.url()}`);
	});
	return troubles;
}
