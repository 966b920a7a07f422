import type { RulesByForm } from '../../src/lib/core/wish';
import fc from 'fast-check';
import {
	formById,
	type Form,
	type Rule,
	type Rules,
	type RuleValue
} from '../../src/lib/core/forms';

const mostTried = 30;
const mostCell = 9;

/** Values that a rule of a form takes. */
export function anyValue(rule: Rule): fc.Arbitrary<RuleValue> {
	switch (rule.kind) {
		case 'number':
			return fc.integer({ min: rule.least, max: Math.min(rule.most, rule.least + mostTried) });
		case 'size': {
			const side = fc.integer({ min: rule.least, max: Math.min(rule.most, mostCell) });
			return fc.record({ w: side, h: side });
		}
		case 'flag':
			return fc.boolean();
		case 'choice':
			return fc.constantFrom(...rule.options.map(({ value }) => value));
	}
}

/** Rules of a form, some of them said. */
export function anyRules(form: Form): fc.Arbitrary<Rules> {
	const values = form.rules.map((rule) => [rule.name, anyValue(rule)] as const);
	return fc.record(Object.fromEntries(values), { requiredKeys: [] });
}

/** Rules by form, for some of a few forms. */
export function anyRulesByForm(ids: readonly string[]): fc.Arbitrary<RulesByForm> {
	const rules = ids.flatMap((id) => {
		const form = formById(id);
		return form && form.rules.length > 0 ? [[id, anyRules(form)] as const] : [];
	});
	return fc.record(Object.fromEntries(rules), { requiredKeys: [] });
}
