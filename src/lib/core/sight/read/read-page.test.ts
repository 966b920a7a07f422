import { beforeAll, describe, expect, test } from 'vitest';
import {
	albumWith,
	aprilAlbum,
	counted,
	exposed,
	type Album
} from '../../../../../tests/support/album';
import type { FieldMark } from '../../draw';
import type { Shot } from '../../../standins/camera';
import type { Penmanship } from '../../../standins/drawn-page';
import { turnedBy, type Photograph } from '../../../standins/camera';
import { readPage } from './read-page';
import { seePage } from '../find/see-page';

// The truth is that of a simulated camera and hand, which share no code with what reads their pictures.
let album: Album;
beforeAll(() => {
	album = aprilAlbum();
});

function read(page: number, shot: Partial<Shot>, hand: Partial<Penmanship>, quarters = 0) {
	return readIn(album, page, shot, hand, quarters);
}

function readIn(
	own: Album,
	page: number,
	shot: Partial<Shot>,
	hand: Partial<Penmanship>,
	quarters = 0,
	valueOf?: (field: FieldMark, random: () => number) => string
) {
	const exposure = exposed(own, page, shot, hand, undefined, valueOf);
	const photograph = turnedBy(exposure.photograph, quarters);
	const { plan, known } = own;
	const seen = seePage(photograph, plan.notebook, known);
	if ('says' in seen) throw new Error(seen.says);
	expect(seen.pages).toEqual([page]);
	const { fields: asked = [], marks = [] } = known.find((one) => one.page === page) ?? {};
	const fields = readPage(photograph, seen, plan.notebook, asked, marks);
	return { seen, ...counted(fields, exposure), fields };
}

describe('what was filled in is read from a photograph', () => {
	const cases: [string, number, Partial<Shot>, Partial<Penmanship>][] = [
		['a calendar over the left page', 96, { seed: 'o', width: 800 }, {}],
		['squares filled whole', 98, { seed: 'a', lean: 5, turn: 4, curl: 4 }, { fills: 'whole' }],
		['squares crossed, with grain', 98, { seed: 'b', noise: 5 }, { fills: 'crossed' }],
		['squares slashed, no dates written', 98, { seed: 'c' }, { fills: 'slashed', dates: false }],
		[
			'squares coloured, under a hand’s shadow',
			98,
			{ seed: 'd', handShadow: 0.4 },
			{ fills: 'coloured' }
		],
		[
			'on a checked cloth',
			98,
			{ seed: 'p', width: 800, cloth: { everyMm: 8, grey: 150, checked: true } },
			{}
		],
		// Its checks go on for three rows where the dots end.
		[
			'on a cloth whose checks lie as the dots do',
			96,
			{
				seed: 'cloth 5',
				width: 800,
				lean: 1.5,
				nod: -0.5,
				table: 120,
				cloth: { everyMm: 8, grey: 150, checked: true }
			},
			{}
		],
		['states by the page’s own key', 99, { seed: 'e', shade: 0.4 }, {}],
		['hours of sleep', 100, { seed: 'f', width: 1100 }, {}],
		['bars of steps, a little blurred', 101, { seed: 'g', width: 1100, blur: 1 }, {}]
	];
	test.each(cases)('%s', (_, page, shot, hand) => {
		const { right, asked, wrong } = read(page, shot, hand);
		expect(wrong).toEqual([]);
		expect(asked).toBeLessThanOrEqual((right + asked) / 10);
	});

	const thin: [string, Partial<Shot>, Penmanship['fills']][] = [
		['slashed', {}, 'slashed'],
		['ticked, under a hand’s shadow', { handShadow: 0.4 }, 'ticked'],
		['slashed, around a mirrored lamp', { glare: 0.7 }, 'slashed']
	];
	test.each(thin)('marks as thin as the dates they stand on: %s', (seed, shot, fills) => {
		const { right, asked, wrong } = read(98, { seed, ...shot }, { fills });
		expect(wrong.length).toBeLessThanOrEqual((right + asked) / 100);
		expect(asked).toBeLessThanOrEqual((right + asked) / 10);
	});

	const uniform: [string, Penmanship['fills'], boolean, number, number][] = [
		['nothing, dates alone', 'slashed', true, 0, 0.1],
		['nearly all', 'slashed', false, 0.94, 0.1],
		['all, and no dates', 'ticked', false, 1, 0.15],
		// A thin mark on each date is as dark as other people's dates: that is asked, not guessed.
		['all of it on dates', 'slashed', true, 1, 1]
	];
	test.each(uniform)('what is filled in: %s', (seed, fills, dates, share, mostAsked) => {
		const filled = (_: FieldMark, random: () => number) => (random() < share ? 'x' : '');
		const { right, asked, wrong } = readIn(album, 98, { seed }, { fills, dates }, 0, filled);
		expect(wrong).toEqual([]);
		expect(asked).toBeLessThanOrEqual((right + asked) * mostAsked);
	});

	test.each([
		[
			'a board of steps, on whose filled squares no dot is seen',
			'whole',
			{ id: 'board', kind: 'steps', form: 'path', rules: { path: { entries: 60 } } }
		],
		[
			'boxes by their rhythms',
			'crossed',
			{
				id: 'boxes',
				kind: 'habits',
				form: 'rhythm-boxes',
				items: [
					{ name: 'Scales', rhythm: 'times-a-week', goal: 3 },
					{ name: 'Sheets', rhythm: 'weekly' },
					{ name: 'Oil', rhythm: 'monthly' }
				]
			}
		],
		[
			'parcels sent and arrived, in a table whose lines hide every second row of dots',
			'slashed',
			{
				id: 'parcels',
				kind: 'parcels',
				rules: { table: { entries: 12 } },
				columns: [
					{ name: 'Item', width: 12 },
					{ name: 'Sent', width: 4, holds: 'tick' },
					{ name: 'Arrived', width: 6, holds: 'tick' }
				]
			}
		]
	] as const)('%s', (_, fills, wish) => {
		const other = albumWith([wish]);
		const [page] = other.known.filter(({ fields }) => fields.length > 0);
		const { right, asked, wrong } = readIn(other, page?.page ?? 0, { seed: fills }, { fills });
		expect(wrong).toEqual([]);
		expect(right).toBeGreaterThan(12);
		expect(asked).toBeLessThanOrEqual((right + asked) / 12);
	});

	test('the shade of a hand at the end of the hours is no second sleep', () => {
		const shot = { seed: 'q', handShadow: 0.4, width: 800 };
		const { right, wrong } = read(100, shot, { fills: 'ticked' });
		expect(wrong).toEqual([]);
		expect(right).toBeGreaterThan(5);
	});

	test('a page that lies turned is read the same', () => {
		const { seen, wrong, right } = read(98, { seed: 'h', width: 800 }, {}, 1);
		expect(seen.placement.turn).toBe(1);
		expect(wrong).toEqual([]);
		expect(right).toBeGreaterThan(160);
	});

	/** The upper part of a photograph. */
	const upper = ({ width, height, rgba }: Photograph, share: number) => ({
		width,
		height: Math.round(share * height),
		rgba
	});

	test('of half a page what is seen is read, and the rest is left', () => {
		const exposure = exposed(album, 101, { seed: 'q', width: 900 });
		const half = upper(exposure.photograph, 0.6);
		const { plan, known } = album;
		const seen = seePage(half, plan.notebook, known);
		if ('says' in seen) throw new Error(seen.says);
		const own = known.find((one) => one.page === 101);
		const fields = readPage(half, seen, plan.notebook, own?.fields ?? [], own?.marks ?? []);
		const { right, wrong } = counted(fields, exposure);
		expect(wrong).toEqual([]);
		expect(right).toBeGreaterThan(10);
		expect(fields.filter(({ shown }) => shown.kind === 'hidden').length).toBeGreaterThan(5);
	});

	test('half of a page that repeats itself fits in two places, and is refused', () => {
		const { photograph } = exposed(album, 98, { seed: 'r', width: 900 });
		expect(seePage(upper(photograph, 0.55), album.plan.notebook, album.known)).toMatchObject({
			says: expect.stringMatching(/fits in more than one place|None of this month/)
		});
	});

	test('words are not read, but asked for', () => {
		const { fields } = read(102, { seed: 'i', width: 800 }, {});
		expect(new Set(fields.map(({ shown }) => shown.kind))).toEqual(new Set(['typed']));
	});
});

describe('what a picture does not show for sure is told and not guessed', () => {
	test('a page that is not of this month', () => {
		const { photograph } = exposed(album, 98, { seed: 'k', width: 800 });
		const others = album.known.filter(({ page }) => page !== 98);
		expect(seePage(photograph, album.plan.notebook, others)).toMatchObject({
			says: expect.stringMatching(/^None of this month’s pages is drawn like this/)
		});
	});

	test('a page of another book', () => {
		const { photograph } = exposed(album, 98, { seed: 'l', width: 800 });
		expect(seePage(photograph, { columns: 20, rows: 30 }, album.known)).toMatchObject({
			says: expect.stringContaining('is it another book?')
		});
	});

	test('a dark picture, and one that is out of focus', () => {
		const { photograph } = exposed(album, 98, { seed: 'm', width: 800, shade: 0.1 });
		const dark = { ...photograph, rgba: photograph.rgba.map((light) => light * 0.2) };
		const found = seePage(dark, album.plan.notebook, []);
		expect(found).toMatchObject({ says: expect.stringContaining('The picture is dark') });
		const { photograph: blurred } = exposed(album, 98, { seed: 'n', width: 800, blur: 9 });
		expect(seePage(blurred, album.plan.notebook, album.known)).toMatchObject({
			says: expect.stringContaining('blurred')
		});
	});
});
