import { formById } from '../../forms';
import type { Wish } from '../../wish';
import { kindOf } from '../choices/choices';
import { holesIn, isHole, type Sheet } from '../choices/sheets';
import { choicesIn } from '../members/hosting';
import type { Plan } from '../plan/plan';
import { openingOf } from './opening-page';

/**
 * Wishes of which what opens the month takes the whole of its page although that has a hole: it is composed round it, and would
 * flee from it otherwise. Everything else, and what a hand has put somewhere, is as it was.
 */
export function roundItsHole(plan: Plan, sheets: readonly Sheet[]): readonly Wish[] {
	const opening = openingOf(plan);
	if (!opening || opening.pin?.x !== undefined || opening.size || opening.weeks) return plan.wishes;
	const form = formById(opening.form ?? kindOf(opening).forms[0] ?? '');
	if (!form?.roundHoles || opening.span === 'spread') return plan.wishes;
	const sheet = opening.pin
		? sheets.find(({ page }) => page.number === opening.pin?.page)
		: sheets
				.slice(0, 2)
				.find(({ page }) => page.side === (opening.side ?? kindOf(opening).likes ?? page.side));
	if (!sheet) return plan.wishes;
	const { page, origin, size } = sheet;
	const holes = holesIn(plan, page.number, { ...origin, ...size });
	if (holes.length === 0 || !holes.every((hole) => isHole(hole, size))) return plan.wishes;
	const pin = { ...opening.pin, page: page.number, ...origin, ...size };
	const round = { ...opening, form: form.id, pin };
	const isPossible = choicesIn(plan, round, { span: 'page', ...size, holes }).length > 0;
	return isPossible ? plan.wishes.map((wish) => (wish === opening ? round : wish)) : plan.wishes;
}
