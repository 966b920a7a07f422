import { describe, expect, test } from 'vitest';
import { choicesIn, planRun, type Plan } from '../../src/lib/core/fit';
import type { Pin, Wish } from '../../src/lib/core/wish';
import { defaultHand } from '../../src/lib/core/hand';
import { overlaps, type Rect, type Size } from '../../src/lib/core/paper';
import { often } from '../support/effort';
import { a5 } from '../support/arbitraries';
import { randomFrom } from '../support/problems';

// Referee: every rectangle of a small page for every wish, tried one by one; it knows nothing of options.

const wishes: readonly Omit<Wish, 'id'>[] = [
	{ kind: 'sleep', title: 'Sleep' },
	{ kind: 'habits', items: [{ name: 'Dough' }, { name: 'Bellows' }] },
	{ kind: 'mood' },
	{ kind: 'notes' },
	{ kind: 'notes', title: 'Ideas' },
	{ kind: 'spending', rules: { table: { entries: 6 } } },
	{ kind: 'quote', text: 'Calm water is for the passengers' },
	{ kind: 'one-line-a-day' },
	{ kind: 'month-calendar' },
	{ kind: 'brain-dump' },
	{ kind: 'habits', form: 'matrix-days-down', items: [{ name: 'Oil' }] }
];

function planOf(seed: number): Plan {
	const random = randomFrom(seed);
	const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
	const page = { columns: whole(9, 18), rows: whole(12, 40) };
	const chosen = Array.from(
		{ length: whole(2, 3) },
		() => wishes[whole(0, wishes.length - 1)] ?? { kind: 'notes' }
	);
	const high = 6;
	const pin = { page: 13, x: 0, y: whole(0, page.rows - high), w: page.columns, h: high };
	const pinned = random() < 0.4 ? [{ kind: 'notes', pin }] : [];
	const notebook = {
		...a5,
		pageMm: { width: page.columns * 5 + 8, height: page.rows * 5 + 10 },
		...page,
		freePages: [{ first: 13, last: 13 }]
	};
	return {
		notebook,
		month: { year: 2027, month: 5 },
		weekStart: 'monday',
		hand: defaultHand,
		locale: 'en',
		aim: 'balanced',
		wishes: [...pinned, ...chosen].map((wish, index) => ({ ...wish, id: `w${index}` }))
	};
}

/** Sizes that a wish can take, none of which holds another. */
function leastSizes(plan: Plan, wish: Wish, page: Size): Size[] {
	const sizes: Size[] = [];
	let lowest = page.h + 1;
	for (let w = 1; w <= page.w; w++) {
		const h = Array.from({ length: lowest - 1 }, (_, index) => index + 1).find((h) =>
			choicesIn(plan, wish, { span: 'page', w, h }).some(
				({ form }) => !form.wholePage || (w === page.w && h === page.h)
			)
		);
		if (h === undefined) continue;
		sizes.push({ w, h });
		lowest = h;
	}
	return sizes;
}

/** How many of the wishes can stand on the page at once, a free square between neighbours. */
function mostPlaced(
	page: Size,
	sizes: readonly (readonly Size[])[],
	pinned: readonly Rect[]
): number {
	const tried = (index: number, placed: readonly Rect[]): number => {
		const own = sizes[index];
		if (!own) return placed.length;
		if (placed.length + sizes.length - index <= best) return 0;
		for (const { w, h } of own)
			for (let y = 0; y + h <= page.h; y++)
				for (let x = 0; x + w <= page.w; x++) {
					const around = { x: x - 1, y: y - 1, w: w + 2, h: h + 2 };
					if (placed.some((other) => overlaps(other, around))) continue;
					// What a hand has put somewhere may be touched.
					if (pinned.some((other) => overlaps(other, { x, y, w, h }))) continue;
					best = Math.max(best, tried(index + 1, [...placed, { x, y, w, h }]));
					if (best === sizes.length) return best;
				}
		return Math.max(best, tried(index + 1, placed));
	};
	let best = 0;
	return Math.max(best, tried(0, []));
}

const isPlace = (pin: Pin | undefined): pin is Pin & Rect => pin?.x !== undefined;

describe('what is said to have no place', () => {
	test.each(Array.from({ length: often(8, 4) }, (_, chunk) => 25 * chunk))(
		'has none in any rectangle: seeds from %i on',
		(first) => {
			for (let seed = first; seed < first + 25; seed++) {
				const plan = planOf(seed);
				const { columns: w, rows: h } = plan.notebook;
				const free = plan.wishes.filter(({ pin }) => !pin);
				const pinned = plan.wishes.flatMap(({ pin }) => (isPlace(pin) ? [pin] : []));
				const sizes = free.map((wish) => leastSizes(plan, wish, { w, h }));
				const run = planRun(plan);
				const told = JSON.stringify({ seed, w, h, wishes: plan.wishes, sizes });
				expect(plan.wishes.length - run.unplaced.length, told).toBe(
					pinned.length + mostPlaced({ w, h }, sizes, pinned)
				);
			}
		}
	);
});
