import { pageSize, titleStyle, type Room } from '../../forms';
import type { Rect } from '../../paper';
import { withRule, type Wish } from '../../wish';
import { settingOf, type Choice } from '../choices/choices';
import { layoutsOf } from '../choices/layouts-of';
import type { Plan } from '../plan/plan';

/** Something that stands on a page by itself. */
interface Own {
	readonly part: { readonly wish: Wish };
	readonly choice: Choice;
	readonly rect: Rect;
}

/**
 * What stands on one page with its titles in one style: beside a title that is written in a row, because there is no room for
 * drawn letters, the others are written too, but for those whose style a person chose. (Common practice.)
 */
export function inOneStyle<T extends Own>(plan: Plan, own: readonly T[]): T[] {
	const isMixed = own.some(({ choice }) => styleOf(choice) === 'written');
	return own.map((one) => (isMixed && isFree(one) ? written(plan, one) : one));
}

function styleOf({ as, form }: Choice): string | undefined {
	if (!as.title || !form.rules.includes(titleStyle)) return undefined;
	return titleStyle.of({ rules: as.rules?.[form.id] ?? {} }) ?? 'lettered';
}

/** Whether a title is drawn, and nobody said so. */
function isFree({ part, choice }: Own): boolean {
	const style = styleOf(choice);
	const said = part.wish.rules?.[choice.form.id]?.[titleStyle.name];
	return style !== undefined && style !== 'written' && style !== 'none' && !said && !choice.inside;
}

/** The same with its title in a row, inside the same rectangle and no less comfortable; as it was where that cannot be. */
function written<T extends Own>(plan: Plan, own: T): T {
	const { choice, rect } = own;
	const { form } = choice;
	const as = {
		...choice.as,
		rules: withRule(choice.as.rules, form.id, titleStyle.name, 'written')
	};
	const room: Room = { span: 'page', w: rect.w, h: rect.h };
	const [layout] = layoutsOf(form, settingOf(plan, as, form), room);
	if (layout?.room.span !== 'page' || layout.discomfort > choice.discomfort) return own;
	return {
		...own,
		choice: { ...choice, ...layout, as },
		rect: { ...rect, ...pageSize(layout.room) }
	};
}
