import { expect, test } from 'vitest';
import { planWith } from '../../../../tests/support/arbitraries';
import { planRun, sharedPages, type Plan } from '../fit';
import { pieceMarks } from '../page';
import type { Wish } from '../wish';
import { usualMaking } from '.';
import { tasksOf } from './order/spread-work';

const picture = (more: Partial<Wish> = {}): Wish => ({
	id: 'art',
	kind: 'picture',
	text: 'Lanterns',
	...more
});

/** Minutes of pictures that a plan's pages take together. */
function minutesOf(plan: Plan): number {
	const run = planRun(plan);
	return run.pages
		.flatMap(({ number }) => tasksOf(plan, run, number, usualMaking))
		.filter(({ pass }) => pass === 'picture')
		.reduce((sum, { seconds }) => sum + seconds / 60, 0);
}

test('a picture keeps its squares, and nothing is written on them', () => {
	const plan = planWith([picture({ rules: { picture: { extent: 'corner' } } })]);
	const [block] = planRun(plan).blocks;
	if (!block) throw new Error('no picture');
	expect(block.pieces[0].rect).toMatchObject({ w: 12, h: 12 });
	const marks = pieceMarks(plan, block, block.pieces[0].page);
	expect(marks).toEqual([expect.objectContaining({ kind: 'tint', tone: 'art', w: 12, h: 12 })]);
	expect(block.why).toEqual(['Lanterns: 12 × 12 squares, 15 minutes']);
});

test('its minutes are those of an evening: as it says, or by its size', () => {
	const said = (rules: object) =>
		minutesOf(planWith([picture({ rules: { picture: { ...rules } } })]));
	expect(said({ effort: 'sketch', extent: 'small' })).toBe(5);
	expect(said({ extent: 'small' })).toBe(15);
	expect(said({ extent: 'room' })).toBe(90);
	// The cover's own picture takes what the person says.
	expect(minutesOf(planWith([{ id: 'cover', kind: 'cover' }]))).toBe(usualMaking.pictureMinutes);
});

test('it goes with anything: no page is added for its company, and none is told to be shared', () => {
	const habits: Wish = {
		id: 'habits',
		kind: 'habits',
		items: [{ name: 'Bread' }],
		size: { w: 28, h: 26 }
	};
	const plan = planWith([habits, picture({ rules: { picture: { extent: 'band' } } })]);
	const run = planRun(plan);
	expect(run.pagesUsed).toBe(1);
	expect(sharedPages(plan, run)).toEqual([]);
});
