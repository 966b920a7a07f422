import type { Content, Rules, RuleValue, Span, WeekPart } from '../forms';
import type { ShortWeek, WeekBelonging } from '../month';
import type { Dot, Side, Size } from '../paper';

/** How badly a wish is missed when it is left out. */
export type Importance = 'must' | 'want' | 'spare';

/** Page and place that a person fixed by hand; a pin to a page alone leaves the place open. */
export interface Pin extends Partial<Dot>, Partial<Size> {
	readonly page: number;
	/** The page is reserved: nothing else may lie on it. */
	readonly alone?: boolean;
}

/** A form for one week of the set, where it differs from the others. */
export interface WeekForm {
	/** Row of the month's grid, from 1. */
	readonly week: number;
	readonly form: string;
}

/** The month's weekly pages: which weeks, and how many pages each. */
export interface Weeks {
	readonly belong: WeekBelonging;
	readonly short: ShortWeek;
	readonly pagesPerWeek: 1 | 2 | 4;
	/** Only these of them, by their rows of the month's grid; the others come later. */
	readonly only?: readonly number[];
	readonly forms?: readonly WeekForm[];
}

/** Where a wish must stand, as far as the person cares. */
export interface Place {
	readonly span?: Span;
	readonly side?: Side;
	/** A page to itself, or both pages where it lies over a spread; a pin may say the same of its page. */
	readonly alone?: boolean;
	/** The exact size, whatever else is free; fillers keep it too. */
	readonly size?: Size;
	readonly pin?: Pin;
	/** Id of the wish that must lie on the other page of the same spread; void when either is left out. */
	readonly facing?: string;
	/** Makes it a set with pages for each week. */
	readonly weeks?: Weeks;
	/** A filler may go anywhere and stretches over what is left. */
	readonly filler?: boolean;
	/** Of a member: the room of its host that it is meant for; any of them where it is not said. */
	readonly room?: string;
	/** Of a member: where a person fixed it, counted from its room's first dot. */
	readonly spot?: Spot;
}

/** A place inside a room, and a size where that is fixed too. */
export type Spot = Dot & Partial<Size>;

/** How a wish is ruled, apart for each form: going back to a form finds its rules as they were. */
export type RulesByForm = Readonly<Record<string, Rules | undefined>>;

/** What a person asks of the month: what it is, how it is ruled, and where it goes. */
export interface Wish extends Content, Place {
	readonly id: string;
	readonly kind: string;
	readonly form?: string;
	readonly importance?: Importance;
	readonly rules?: RulesByForm;
	/** It is printed and pasted in: the hand draws nothing of it. */
	readonly pasted?: boolean;
	/** Wishes that live in the rooms of this one, in order. */
	readonly members?: readonly Wish[];
	/** Of a part of a weekly set: which week, and which of its pages. */
	readonly part?: WeekPart;
}

/** Rules with one of a form's set, or taken away. */
export function withRule(
	rules: RulesByForm | undefined,
	form: string,
	name: string,
	value: RuleValue | undefined
): RulesByForm {
	const own = Object.entries(rules?.[form] ?? {}).filter(([other]) => other !== name);
	const set: [string, RuleValue][] = value === undefined ? [] : [[name, value]];
	return { ...rules, [form]: Object.fromEntries([...own, ...set]) };
}
