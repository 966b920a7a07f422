import { bothPages, titleStyle } from '../../forms';
import { withRule, type RulesByForm, type Wish } from '../../wish';
import { formsOf } from '../choices/choices';

/** A member as it is ruled: the page owns the lettered title, so its own name is written unless that is asked otherwise. */
export function asMember(wish: Wish): Wish {
	const rules = formsOf(wish)
		.filter((form) => form.rules.includes(titleStyle))
		.filter((form) => titleStyle.of({ rules: wish.rules?.[form.id] ?? {} }) === undefined)
		.reduce<RulesByForm | undefined>(
			(all, form) => withRule(all, form.id, titleStyle.name, 'written'),
			wish.rules
		);
	const span = wish.room === bothPages ? 'spread' : 'page';
	return { ...wish, span, ...(rules ? { rules } : {}) };
}
