import { expect, test } from 'vitest';
import { a5, planWith } from '../../../../../tests/support/arbitraries';
import { begin, kindById } from '../../catalogue';
import { titleStyle } from '../../forms';
import type { Wish } from '../../wish';
import { planRun } from '..';

// Titles of one page in one style is common practice.

const small = { ...a5, columns: 19, rows: 28, pageMm: { width: 105, height: 148 } };
/** What fills few pages with little of each. */
const wishes = (more: Partial<Wish> = {}): Wish[] =>
	[
		...['cover', 'month-calendar', 'tasks', 'habits', 'steps', 'weight'],
		...['reading-list', 'mood', 'notes', 'month-review']
	].map((id) => {
		const kind = kindById(id);
		if (!kind) throw new RangeError(`there is no kind ${id}`);
		return { ...begin(kind, () => id), ...(id === 'notes' ? more : {}) };
	});
const stylesOf = (all: readonly Wish[]) => {
	const run = planRun(planWith(all, { aim: 'fewest-pages', notebook: small }));
	const byPage = new Map<number, Map<string, string>>();
	for (const { as, form, wish, pieces } of run.blocks.filter(
		({ as, pieces }) => as.title && pieces.length === 1
	))
		for (const { page } of pieces) {
			const styles = byPage.get(page) ?? new Map<string, string>();
			byPage.set(
				page,
				styles.set(wish, titleStyle.of({ rules: as.rules?.[form] ?? {} }) ?? 'lettered')
			);
		}
	return [...byPage.values()];
};

test('beside a title that is written in a row no other one is drawn', () => {
	const pages = stylesOf(wishes());
	expect(pages.some((styles) => styles.size > 1 && [...styles.values()].includes('written'))).toBe(
		true
	);
	for (const styles of pages) expect(new Set(styles.values()).size).toBe(1);
});

test('but for one whose style a person chose', () => {
	const drawn = { form: 'box', rules: { box: { titleStyle: 'lettered' } } };
	const page = stylesOf(wishes(drawn)).find((styles) => styles.has('notes'));
	expect(page?.get('notes')).toBe('lettered');
});
