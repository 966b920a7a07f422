import { spawn, type ChildProcess } from 'node:child_process';
import { rmSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, beforeEach, expect } from 'vitest';
import demoMonth from '../../demo/month.json';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright';

/** What lives for seconds is not worth compiling well: a function is when it has run eight times as long as usual. */
const lazily = ['--interrupt-budget=1000000'];

export interface App {
	readonly address: string;
	readonly stop: () => Promise<void>;
	/** Ends the server at once, as a crash would, and starts it again on the same database and port. */
	readonly crash: (whileDown?: () => Promise<void>) => Promise<void>;
}

/**
 * Starts the built application on a port and a database of its own, with the demo data if wanted; shared on another address,
 * as on a network, where one is named.
 */
export async function startApp(script: 'demo' | 'start', shareOn?: string): Promise<App> {
	const folder = await mkdtemp(join(tmpdir(), 'horarium-'));
	let port = '0';
	let server: ChildProcess;
	const start = async () => {
		const share = shareOn === undefined ? [] : ['--share'];
		server = spawn(process.execPath, [...lazily, `scripts/${script}.mjs`, ...share], {
			env: {
				...process.env,
				...(shareOn ? { HORARIUM_SHARE_ON: shareOn } : {}),
				PORT: port,
				HORARIUM_DB: join(folder, 'test.db')
			},
			stdio: ['ignore', 'pipe', 'inherit']
		});
		return addressOf(server);
	};
	const address = await start();
	port = new URL(address).port;
	return {
		address,
		stop: async () => {
			await ended(server, 'SIGTERM');
			await rm(folder, { recursive: true, force: true });
		},
		crash: async (whileDown) => {
			await ended(server, 'SIGKILL');
			await whileDown?.();
			await start();
		}
	};
}

function addressOf(server: ChildProcess): Promise<string> {
	return new Promise((resolve, reject) => {
		let output = '';
		server.stdout?.on('data', (chunk: Buffer) => {
			output += chunk.toString();
			const address = /http:\/\/[\d.]+:\d+/.exec(output)?.[0];
			if (address) resolve(address);
		});
		server.once('exit', (code) => reject(new Error(`the server ended with ${code}: ${output}`)));
	});
}

function ended(server: ChildProcess, signal: NodeJS.Signals): Promise<void> {
	return new Promise((resolve) => {
		server.once('exit', () => resolve());
		server.kill(signal);
	});
}

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
		// What lives for seconds is not worth compiling well; pages in one process share what is compiled of their scripts.
		'--js-flags=--no-opt,--no-maglev',
		'--renderer-process-limit=1',
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
function oneWindow(): Promise<BrowserContext> {
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

/** What a test file works with: a fresh window for each test, over one application and browser. */
export interface Stage {
	app: App;
	/** A browser apart from the one that the test's windows are in. */
	elsewhere: () => Promise<Browser>;
	context: BrowserContext;
	page: Page;
	troubles: string[];
}

/**
 * Sets up the application with the demo data for a test file, and a fresh page at `path` for each test, in one window
 * whose scripts need not be read anew each time. What is not about the month's pages does with its first few `wishes`. After each test nothing may have gone wrong on its pages.
 */
export function onStage(path = '/', { wishes }: { wishes?: number } = {}): () => Stage {
	let stage: Stage;
	let app: App;
	let browser: Browser | undefined;
	let context: BrowserContext;
	const elsewhere = async () => (browser ??= await launch());
	beforeAll(async () => {
		[app, context] = await Promise.all([startApp('demo'), oneWindow()]);
		if (wishes !== undefined) await shortened(app, context, wishes);
	});
	afterAll(async () => {
		await Promise.all([app.stop(), browser?.close()]);
	});
	beforeEach(async () => {
		const page = await context.newPage();
		stage = { app, elsewhere, context, page, troubles: watch(page) };
		await visit(page, app.address + path);
	});
	afterEach(async () => {
		// What a test has told the browser to remember is no other test's business.
		const { page } = stage;
		// The next test begins with what this one left.
		await expect
			.poll(() => page.getByText('Saving …', { exact: true }).count(), { timeout: 30_000 })
			.toBe(0);
		if (page.url().startsWith(app.address)) await page.evaluate(() => localStorage.clear());
		await context.clearPermissions();
		// Without any window the browser would end.
		for (const open of context.pages().slice(1)) await open.close();
		expect(stage.troubles).toEqual([]);
	});
	return () => stage;
}

/** Has the demo month begun anew with its first wishes. */
async function shortened(app: App, context: BrowserContext, wishes: number): Promise<void> {
	const page = await context.newPage();
	await page.goto(app.address);
	const path = new URL(page.url()).pathname;
	const document = { ...demoMonth, wishes: demoMonth.wishes.slice(0, wishes) };
	const made = await context.request.post(`${app.address}/app/import`, { data: { document } });
	expect(made.status(), await made.text()).toBe(201);
	await context.request.patch(`${app.address}/app${path}`, { data: { deleted: true } });
	await page.close();
}

/** Looks through the month's pages, which are drawn as they come near the window, until a text stands on one. */
export async function drawn(page: Page, text: string): Promise<void> {
	const there = page.locator('svg text', { hasText: text }).first();
	await expect
		.poll(async () => {
			for (const spread of await page.getByRole('link', { name: /^Pages/ }).all()) {
				if (await there.isVisible()) return true;
				await spread.scrollIntoViewIfNeeded();
			}
			return there.isVisible();
		})
		.toBe(true);
}

/** Waits until everything shown is kept. */
export async function saved(page: Page): Promise<void> {
	await page
		.getByTestId('save-state')
		.filter({ hasText: /^\s*Saved\s*$/ })
		.waitFor();
}

/** Opens a list field and takes an option, by its words or its place. */
export async function choose(
	page: Page,
	field: RegExp,
	option: string | RegExp | number
): Promise<void> {
	await page.getByRole('combobox', { name: field }).click();
	const list = page.getByRole('listbox');
	const item =
		typeof option === 'number'
			? list.getByRole('option').nth(option)
			: list.getByRole('option', { name: option, exact: typeof option === 'string' });
	await item.click();
	await list.waitFor({ state: 'hidden' });
}

/** Goes to a page and waits until its controls answer. */
export async function visit(page: Page, address: string): Promise<void> {
	await page.goto(address, { waitUntil: 'commit' });
	await live(page);
}

/** Loads a page again, as a person does, and waits until its controls answer. */
export async function reloaded(page: Page): Promise<void> {
	await page.reload({ waitUntil: 'commit' });
	await live(page);
}

async function live(page: Page): Promise<void> {
	await page.locator('html[data-live]').waitFor({ state: 'attached' });
}
