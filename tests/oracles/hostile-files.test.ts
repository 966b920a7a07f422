import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { zipSync, strToU8 } from 'fflate';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import demoMonth from '../../demo/month.json';
import { planSchema, readJson } from '../../src/lib/core/formats';
import { readBand } from '../../src/lib/core/formats/outside/band';
import { mostEvents, readCalendar } from '../../src/lib/core/formats/outside/icalendar';
import { readLabelPrinter } from '../../src/lib/core/formats/outside/label-printer';
import { planRun } from '../../src/lib/core/fit';
import {
	bookingsIn,
	guessHabits,
	readStatement,
	statementText,
	trackersOf
} from '../../src/lib/core/records';
import { checkFont } from '../../src/lib/server/archive/font-check';
import { checkSheetFont } from '../../src/lib/server/answer/fonts';
import { ArchiveFault } from '../../src/lib/server/archive/json-rows';
import { unpackShelf } from '../../src/lib/server/archive/unpack';
import { openStore } from '../../src/lib/server/shelf/store';
import { bandDays, calendarFeed, printerStatus } from '../../src/lib/standins';
import { planWith } from '../support/arbitraries';
import { archiveOf } from '../support/everything';
import { often } from '../support/effort';
import { spoilt } from '../support/hostile';

// Whatever a file holds, its reader answers: with what it could read, within its limits, or with words. Readers keep
// nothing, so nothing is half taken. Files are invented; how they are spoilt is in tests/support/hostile.ts.
const may = { year: 2027, month: 5 };
const plan = planWith([
	{ id: 'sleep', kind: 'sleep' },
	{ id: 'steps', kind: 'steps' }
]);
const runs = { numRuns: 200 };

function says(message: unknown): void {
	expect(typeof message).toBe('string');
	expect(String(message).trim()).not.toBe('');
}

/** An archive whose last file says that it is of another size (APPNOTE of the ZIP format, central directory header). */
function claiming(zip: Uint8Array, size: number): Uint8Array {
	const at = Buffer.from(zip).lastIndexOf(Buffer.from([0x50, 0x4b, 0x01, 0x02]));
	new DataView(zip.buffer, zip.byteOffset).setUint32(at + 24, size, true);
	return zip;
}

describe('hostile files', () => {
	test('of calendars', () => {
		fc.assert(
			fc.property(spoilt(Buffer.from(calendarFeed(true))), (file) => {
				const read = readCalendar(file.toString('utf8'), { month: may, timeZone: 'Europe/Berlin' });
				if (!read.ok) return says(read.message);
				expect(read.events.length).toBeLessThanOrEqual(mostEvents);
				for (const { day, text } of read.events) {
					expect(day >= 1 && day <= 31).toBe(true);
					expect(text).not.toMatch(/[\r\n]/);
				}
			}),
			runs
		);
	});

	test('of banks', () => {
		const bank = [
			'"Buchungstag";"Verwendungszweck";"Betrag";"Saldo"',
			'"03.04.2027";"Flour, east";"-1.012,50";"88,00"',
			'"14.04.2027";"Wages April";"2.400,00";"2.488,00"'
		].join('\r\n');
		fc.assert(
			fc.property(spoilt(Buffer.from(bank)), (file) => {
				const read = readStatement(statementText(file));
				if ('says' in read) return says(read.says);
				const habits = guessHabits(read, 'de-DE');
				if (!habits) return;
				const { bookings, faults } = bookingsIn(read, habits);
				for (const { date, out } of bookings) {
					expect(date).toMatch(/^\d{4}-\d{2}-\d{2}$/);
					expect(Number.isSafeInteger(out)).toBe(true);
				}
				for (const fault of faults) says(fault.says);
				// No line goes without a word.
				expect(bookings.length + faults.length).toBe(read.rows.length + read.odd.length);
			}),
			runs
		);
	});

	test('of bands', () => {
		const answer = JSON.stringify({
			device: 'band',
			days: bandDays('2027-05-01', '2027-05-31', 'x')
		});
		const trackers = trackersOf(plan, planRun(plan));
		fc.assert(
			fc.property(spoilt(Buffer.from(answer)), fc.constantFrom(...trackers), (file, tracker) => {
				const read = readBand(file.toString('utf8'), tracker, may, new Map());
				if (!read.ok) return read.faults.forEach((fault) => says(fault.message));
				expect(read.changes.length + read.gaps.length + read.other.length).toBeLessThanOrEqual(31);
			}),
			runs
		);
	});

	test('of label printers', () => {
		const status = Buffer.from(JSON.stringify(printerStatus({ jammed: false })));
		fc.assert(
			fc.property(spoilt(status), (file) => {
				const read = readLabelPrinter(file.toString('utf8'));
				if (read) expect(read.tapeMm > 0 && Number.isFinite(read.leftMm)).toBe(true);
			}),
			runs
		);
	});

	test('of plans', () => {
		fc.assert(
			fc.property(spoilt(Buffer.from(JSON.stringify(demoMonth))), (file) => {
				const read = readJson(planSchema, file.toString('utf8'));
				if (!read.ok) read.faults.forEach((fault) => says(fault.message));
			}),
			runs
		);
	});

	describe('of everything', () => {
		let folder: string;
		let file: Uint8Array;
		let count = 0;
		beforeAll(async () => {
			folder = await mkdtemp(join(tmpdir(), 'horarium-hostile-'));
			const store = await openStore(':memory:');
			await store.person.setLanguage('en');
			file = await archiveOf(store);
			store.close();
		});
		afterAll(() => rm(folder, { recursive: true }));

		/** What is said of an archive that cannot be taken; nothing where it can. */
		async function faultOf(bytes: Uint8Array): Promise<unknown> {
			const path = join(folder, `${count++}`);
			await writeFile(`${path}.zip`, bytes);
			try {
				await unpackShelf(`${path}.zip`, `${path}.db`);
				return undefined;
			} catch (error) {
				expect(error).toBeInstanceOf(ArchiveFault);
				return error instanceof ArchiveFault ? error.message : undefined;
			}
		}

		test('spoilt', async () => {
			await fc.assert(
				fc.asyncProperty(spoilt(file), async (bytes) => {
					const fault = await faultOf(bytes);
					if (fault !== undefined) says(fault);
				}),
				runs
			);
		});

		test('that climb out of their folder, say they are newer, or swell', async () => {
			const head = (version: number) => strToU8(JSON.stringify({ format: 'horarium', version }));
			const bomb = { 'horarium.json': head(1), 'tables/notebook.json': new Uint8Array(1_000_000) };
			const many = Array.from({ length: 5001 }, (_, at) => [`tables/${at}.json`, strToU8('[]')]);
			for (const bytes of [
				zipSync({ '../../horarium.json': head(1) }),
				zipSync({ 'horarium.json': head(99) }),
				zipSync(Object.fromEntries(many)),
				claiming(zipSync(bomb), 0x7fffffff),
				claiming(zipSync(bomb), 10)
			])
				says(await faultOf(bytes));
		});
	});

	test('of fonts', async () => {
		const font = checkSheetFont();
		await fc.assert(
			fc.asyncProperty(spoilt(font), async (bytes) => {
				const read = await checkFont(bytes);
				if (!read.ok) says(read.reason);
			}),
			{ numRuns: often(60) }
		);
	});
});
