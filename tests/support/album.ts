import { readFileSync } from 'node:fs';
import { checked, planSchema } from '../../src/lib/core/formats';
import { planOf, planRun, type Plan, type Run } from '../../src/lib/core/fit';
import type { FieldMark } from '../../src/lib/core/draw';
import { defaultHand } from '../../src/lib/core/hand';
import { pageFields, pageMarks } from '../../src/lib/core/page';
import { sideOf } from '../../src/lib/core/paper';
import { readTimes, stretchesOf } from '../../src/lib/core/records';
import type { Wish } from '../../src/lib/core/wish';
import type { FieldRead, KnownPage } from '../../src/lib/core/sight';
import { photographed, type Photograph, type Shot } from '../../src/lib/standins/camera';
import {
	drawnPage,
	usualHand,
	type FilledIn,
	type Penmanship
} from '../../src/lib/standins/drawn-page';
import { invented } from '../../src/lib/standins/invented';
import { seeded } from '../../src/lib/standins/seeded';

/** A month whose pages are photographed: what is known of it, and its run. */
export interface Album {
	readonly plan: Plan;
	readonly run: Run;
	readonly known: readonly KnownPage[];
}

/** The demo's April, with everything that is ruled and filled in on its pages. */
export function aprilAlbum(): Album {
	return albumOf(JSON.parse(readFileSync('demo/april.json', 'utf8')));
}

/** April's book with other things in it. */
export function albumWith(wishes: readonly Wish[]): Album {
	return albumOf({
		...JSON.parse(readFileSync('demo/april.json', 'utf8')),
		wishes,
		drawn: undefined
	});
}

function albumOf(document: unknown): Album {
	const read = checked(planSchema, document);
	if (!read.ok) throw new Error(`the plan has faults: ${JSON.stringify(read.faults)}`);
	const plan = planOf(read.value, read.value.notebook, { locale: 'en-GB', hand: defaultHand });
	const run = planRun(plan);
	const known = run.pages.map(({ number }) => ({
		page: number,
		marks: pageMarks(plan, run, number),
		fields: pageFields(plan, run, number)
	}));
	return { plan, run, known };
}

/** A photograph as most are. */
export const usualShot: Omit<Shot, 'side'> = {
	seed: 'usual',
	width: 900,
	table: 90,
	lean: 2,
	nod: -2,
	turn: 1,
	shade: 0.2,
	noise: 2,
	blur: 0,
	curl: 2,
	barrel: 0.004
};

/** A page of an album, what was filled in by chance, and its photograph. */
export interface Exposure {
	readonly page: number;
	readonly filled: readonly FilledIn[];
	readonly photograph: Photograph;
}

/** A page that a hand has drawn and filled in, photographed. */
export function exposed(
	{ plan, known }: Album,
	page: number,
	shot: Partial<Shot> = {},
	hand: Partial<Penmanship> = {},
	redrawn = (marks: KnownPage['marks']) => marks,
	valueOf = invented
): Exposure {
	const own = known.find((one) => one.page === page);
	if (!own) throw new RangeError(`there is no page ${page}`);
	const seed = `${shot.seed ?? usualShot.seed} ${page}`;
	const random = seeded(seed);
	const filled = own.fields.map(({ field }) => ({ field, value: valueOf(field, random) }));
	const side = sideOf(page);
	const sheet = drawnPage(plan.notebook, side, redrawn(own.marks), filled, {
		...usualHand,
		seed,
		...hand
	});
	const taken = { ...usualShot, ...shot, side };
	return { page, filled, photograph: photographed(plan.notebook, taken, sheet) };
}

/** How readings compare with what was filled in. */
export interface Counted {
	readonly right: number;
	readonly asked: number;
	readonly wrong: readonly string[];
}

/** Readings against the truth; ends of bars and spans may be off by a sixth of a square: ten minutes of an hour. */
export function counted(read: readonly FieldRead[], { filled }: Exposure): Counted {
	let [right, asked] = [0, 0];
	const wrong: string[] = [];
	for (const [at, { field, shown, about }] of read.entries()) {
		const truth = filled[at]?.value ?? '';
		if (shown.kind === 'asked') asked += 1;
		if (shown.kind !== 'sure') continue;
		if (shown.value === truth || isNear(field, shown.value, truth)) right += 1;
		else wrong.push(`${about}: “${shown.value}” for “${truth}”`);
	}
	return { right, asked, wrong };
}

function isNear({ scale, holds }: FieldMark, read: string, truth: string): boolean {
	if (!scale || read === '' || truth === '') return false;
	if (holds === 'number') return Math.abs(Number(read) - Number(truth)) <= scale.per / 6;
	const [one = [], other = []] = [read, truth].map((text) =>
		stretchesOf(scale, readTimes(text) ?? [])
	);
	return (
		one.length === other.length &&
		one.every(({ from, to }, at) => {
			const like = other[at];
			return like && Math.abs(like.from - from) < 1 / 6 && Math.abs(like.to - to) < 1 / 6;
		})
	);
}
