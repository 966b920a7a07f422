import { describe, expect, test } from 'vitest';
import { planWith } from '../../../../tests/support/arbitraries';
import { planRun } from '../../core/fit';
import type { Wish } from '../../core/wish';
import { Account } from './account.svelte';
import { onlyThis } from './account-lines';

const wishes: Wish[] = [
	{ id: 'calendar', kind: 'month-calendar', span: 'spread' },
	{ id: 'habits', kind: 'habits', alone: true, items: [{ name: 'Walk' }] },
	{ id: 'notes', kind: 'brain-dump' }
];

function accountOf(after: Wish[], step: unknown = 'step') {
	const [was, is] = [planWith(wishes), planWith(after)];
	const account = new Account();
	account.begin(step, was, planRun(was));
	account.settle(is, planRun(is));
	return account;
}

describe('each change is accounted for', () => {
	test('what else moved is told, with its page', () => {
		const [calendar, ...rest] = wishes;
		const { told } = accountOf(calendar ? [...rest, calendar] : []);
		// Nothing of a wish was changed: the list alone was put in another order.
		expect(told).toBeUndefined();
		const gone = accountOf(wishes.slice(1)).told;
		expect(gone?.lines.join()).toMatch(/Habit trackers to page \d+/);
		expect(gone?.lines.join()).not.toMatch(/calendar/);
	});

	test('where nothing else moved, no line is told', () => {
		const titled = wishes.map((wish) => (wish.id === 'notes' ? { ...wish, title: 'Wool' } : wish));
		expect(accountOf(titled).told?.lines).toEqual([]);
	});

	test('typing in one field is accounted for as one act, from where it began', () => {
		const account = new Account();
		const first = planWith(wishes);
		const run = planRun(first);
		account.begin('a', first, run);
		const half = planWith(wishes.slice(1));
		account.settle(half, planRun(half));
		account.begin('a', half, planRun(half));
		const whole = planWith(wishes.slice(2));
		account.settle(whole, planRun(whole));
		expect(account.told?.act.run).toBe(run);
		account.drop();
		expect(account.told).toBeUndefined();
	});

	test('the rest is kept where it lay, and what was changed stays changed', () => {
		const before = planWith(wishes);
		const run = planRun(before);
		const after = wishes.filter(({ id }) => id !== 'calendar');
		const held = onlyThis({ step: 1, plan: before, run }, after);
		const again = planRun(planWith(held));
		for (const { id } of after) {
			const pieces = (one: typeof run) => one.blocks.find(({ wish }) => wish === id)?.pieces;
			expect(pieces(again)).toEqual(pieces(run));
		}
	});
});
