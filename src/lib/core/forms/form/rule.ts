import type { Size } from '../../paper';
import type { Facts } from './facts';

export type RuleValue = number | string | boolean | Size;

/** How a person wants a form ruled, by the names of the form's own rules. */
export type Rules = Readonly<Record<string, RuleValue | undefined>>;

/** What holds the rules: a setting, or anything else that has them. */
export interface Ruled {
	readonly rules: Rules;
}

interface RuleWords {
	/** As documents call it. */
	readonly name: string;
	/** As the screen calls it. */
	readonly label: string;
	/** Asked for rarely: behind "More". */
	readonly more?: boolean;
}

/** A whole number inside limits; where it is not said the form chooses. */
export interface NumberRule extends RuleWords {
	readonly kind: 'number';
	readonly least: number;
	readonly most: number;
	readonly unit?: string;
	/** What the form has chosen. */
	readonly chosen?: (facts: Facts) => number | undefined;
	readonly of: (ruled: Ruled) => number | undefined;
}

/** A size in squares; where it is not said the form chooses. */
export interface SizeRule extends RuleWords {
	readonly kind: 'size';
	readonly least: number;
	readonly most: number;
	readonly chosen?: (facts: Facts) => Size | undefined;
	readonly of: (ruled: Ruled) => Size | undefined;
}

/** Yes or no, no unless it is said. */
export interface FlagRule extends RuleWords {
	readonly kind: 'flag';
	readonly of: (ruled: Ruled) => boolean;
}

/** One of a few ways. Where it is not said it is the usual one, or without one as it fits best. */
export interface ChoiceRule<T extends string = string> extends RuleWords {
	readonly kind: 'choice';
	readonly options: readonly { readonly value: T; readonly label: string }[];
	readonly usual: T | undefined;
	/** What it is called when nothing is said, where there is no usual way. */
	readonly unsaid: string;
	readonly of: (ruled: Ruled) => T | undefined;
}

/**
 * What a form can be told, declared once: types, schema, the screen's fields and the generators of tests come from it.
 */
export type Rule = NumberRule | SizeRule | FlagRule | ChoiceRule;

/** Declares a number. */
export function numberRule(rule: Omit<NumberRule, 'kind' | 'of'>): NumberRule {
	return {
		kind: 'number',
		...rule,
		of: ({ rules }) => {
			const value = rules[rule.name];
			return typeof value === 'number' ? value : undefined;
		}
	};
}

/** Declares a size. */
export function sizeRule(rule: Omit<SizeRule, 'kind' | 'of'>): SizeRule {
	return {
		kind: 'size',
		...rule,
		of: ({ rules }) => {
			const value = rules[rule.name];
			return typeof value === 'object' ? value : undefined;
		}
	};
}

/** Declares a yes or no. */
export function flagRule(rule: RuleWords): FlagRule {
	return { kind: 'flag', ...rule, of: ({ rules }) => rules[rule.name] === true };
}

type ChoiceWords<T extends string> = RuleWords & {
	readonly options: readonly (readonly [value: T, label: string])[];
	readonly unsaid?: string;
};

/** Declares a choice that has a usual way. */
export function choiceRule<const T extends string>(
	rule: ChoiceWords<T> & { readonly usual: T }
): Omit<ChoiceRule<T>, 'of'> & { readonly of: (ruled: Ruled) => T } {
	const open = openChoice<T>(rule);
	return { ...open, usual: rule.usual, of: (ruled) => open.of(ruled) ?? rule.usual };
}

/** Declares a choice that is made as it fits best where it is not said. */
export function openChoice<const T extends string>(rule: ChoiceWords<T>): ChoiceRule<T> {
	const options = rule.options.map(([value, label]) => ({ value, label }));
	return {
		kind: 'choice',
		unsaid: 'as it fits',
		...rule,
		options,
		usual: undefined,
		of: ({ rules }) => options.find(({ value }) => value === rules[rule.name])?.value
	};
}
