import { allWishes, type RulesByForm, type Wish } from '../wish';
import { begun, idGiver } from './begin';
import { kindById } from './kinds';

/** Wishes as they are when their kinds are picked on screen: what they do not say is what their kinds start with. */
export function allCompleted(wishes: readonly Wish[]): Wish[] {
	const freeId = idGiver(allWishes(wishes).map(({ id }) => id));
	return wishes.map((wish) => completed(wish, freeId));
}

/** What people write into forms without rooms. */
const written = ['items', 'columns', 'parts', 'goals', 'events'] as const;

/** One of them, rule by rule, with the members that its kind starts with unless it says what it holds itself. */
function completed(wish: Wish, freeId: (kind: string) => string): Wish {
	const kind = kindById(wish.kind);
	if (!kind) return wish;
	const said = Object.entries(wish).filter(([, value]) => value !== undefined);
	const other = wish.form !== undefined && wish.form !== kind.forms[0];
	const { members, span, ...start } = kind.start;
	const rules = withStart(wish.rules, start.rules);
	const whole = {
		...start,
		// How many pages a kind starts with is said of its first layout: another may not take them.
		...(span && !other ? { span } : {}),
		...wish,
		...Object.fromEntries(said),
		...(rules ? { rules } : {})
	};
	if (wish.members) return { ...whole, members: wish.members.map((own) => completed(own, freeId)) };
	const holds = written.some((name) => wish[name] !== undefined);
	if (!members || holds || other) return whole;
	return { ...whole, members: members.map((member) => begun(member, freeId)) };
}

function withStart(
	rules: RulesByForm | undefined,
	start: RulesByForm | undefined
): RulesByForm | undefined {
	if (!rules || !start) return rules ?? start;
	const forms = new Set([...Object.keys(start), ...Object.keys(rules)]);
	return Object.fromEntries([...forms].map((form) => [form, { ...start[form], ...rules[form] }]));
}
