import {
	contentNames,
	type Content,
	type RuleValue,
	type Setting,
	type WeekPart
} from '../../src/lib/core/forms';
import { defaultHand } from '../../src/lib/core/hand';
import { monthShape } from '../../src/lib/core/month';

/** What a form is told in a test: content and rules side by side. */
export type Told = Content & { readonly part?: WeekPart } & {
	readonly [rule: string]: unknown;
};

const isRule = (value: unknown): value is RuleValue =>
	['number', 'string', 'boolean'].includes(typeof value) ||
	(typeof value === 'object' && value !== null && 'w' in value && 'h' in value);

/** A setting in May 2027 from Monday, with parts of it replaced. */
export function settingWith(told: Told, parts: Partial<Setting> = {}): Setting {
	const { part, ...rest } = told;
	const known: readonly string[] = contentNames;
	const rules = Object.entries(rest).flatMap(([name, value]): [string, RuleValue][] =>
		!known.includes(name) && isRule(value) ? [[name, value]] : []
	);
	const content: Content = Object.fromEntries(
		Object.entries(rest).filter(([name]) => known.includes(name))
	);
	return {
		month: monthShape({ year: 2027, month: 5 }, 'monday'),
		hand: defaultHand,
		locale: 'en',
		content,
		rules: Object.fromEntries(rules),
		...(part ? { part } : {}),
		...parts
	};
}
