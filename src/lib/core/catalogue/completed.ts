import type { RulesByForm, Wish } from '../wish';
import { kindById } from './kinds';

/**
 * A wish as it is when its kind is picked on screen: what it does not say is what its kind starts with, rule by rule.
 */
export function completed(wish: Wish): Wish {
	const said = Object.entries(wish).filter(([, value]) => value !== undefined);
	const start = kindById(wish.kind)?.start;
	const rules = withStart(wish.rules, start?.rules);
	return { ...start, ...wish, ...Object.fromEntries(said), ...(rules ? { rules } : {}) };
}

function withStart(
	rules: RulesByForm | undefined,
	start: RulesByForm | undefined
): RulesByForm | undefined {
	if (!rules || !start) return rules ?? start;
	const forms = new Set([...Object.keys(start), ...Object.keys(rules)]);
	return Object.fromEntries([...forms].map((form) => [form, { ...start[form], ...rules[form] }]));
}
