import type { Mark, TextMark } from '../draw';
import type { Dot, Rect } from '../paper';
import type { Guided } from './guide';
import { passesOf, type Pass } from './passes';
import type { Step } from './steps';
import { thingAt } from './things';

/** What a hand does in one go: steps of one pass at one thing. */
export interface Portion {
	readonly pass: Pass;
	/** What it is, such as “Habits, Concertina: lines”. */
	readonly name: string;
	/** Its steps by their places in the guide. */
	readonly steps: readonly number[];
}

/** Something that has a name, and where it lies on the page. */
export interface NamedPlace {
	readonly name: string;
	readonly rect: Rect;
}

/** So many sentences are read in one go, and so few are not parted from their neighbours. */
const [most, least] = [12, 4];

const whats: Readonly<Record<Pass['id'], string>> = {
	tint: 'tints',
	rule: 'lines',
	letter: 'lettering',
	write: 'words and dates'
};

/** A page's steps in portions: a small calendar's lines are one, its dates another; nothing of a portion is parted by a pass. */
export function portionsOf(
	found: Guided,
	places: readonly NamedPlace[],
	marks: readonly Mark[]
): Portion[] {
	const labels = labelsOf(found, marks);
	/** Things that bear no name of their own are done with their neighbours. */
	const keyOf = (step: number) => {
		const thing = found.of[step] ?? -1;
		const at = dotOf(found.steps[step]);
		const name = nameAt(places, at);
		const label = labels[thing];
		return label === undefined || label === name
			? { name, own: false }
			: { name: name ? `${name}, ${label}` : label, own: true };
	};
	return passesOf(found.steps).flatMap(({ pass, steps }) => {
		const runs: { name: string; own: boolean; thing: number; steps: number[] }[] = [];
		for (const step of withTicks(found.steps, steps)) {
			const last = runs.at(-1);
			const at = step.at(-1) ?? 0;
			const { name, own } = keyOf(at);
			const thing = found.of[at] ?? -1;
			const same = last && last.name === name && last.own === own;
			const joins = same && (last.thing === thing || (!own && last.steps.length < least));
			if (joins && last.steps.length + step.length <= most) {
				last.steps.push(...step);
				last.thing = thing;
			} else runs.push({ name, own, thing, steps: [...step] });
		}
		return runs.map(({ name, steps }) => ({
			pass,
			name: name ? `${name}: ${whats[pass.id]}` : upper(whats[pass.id]),
			steps
		}));
	});
}

const upper = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** Steps with the helper ticks that lead to each. */
function withTicks(all: readonly Step[], steps: readonly number[]): number[][] {
	const groups: number[][] = [];
	let ticks: number[] = [];
	for (const index of steps) {
		ticks.push(index);
		if (all[index]?.kind === 'tick') continue;
		groups.push(ticks);
		ticks = [];
	}
	return groups;
}

function dotOf(step: Step | undefined): Dot {
	if (!step) return { x: 0, y: 0 };
	return step.kind === 'tick' ? step.reference : step.begin.at;
}

/** The name of the smallest place that holds a dot. */
function nameAt(places: readonly NamedPlace[], { x, y }: Dot): string {
	const holding = places.filter(
		({ rect }) => x >= rect.x && x <= rect.x + rect.w && y >= rect.y && y <= rect.y + rect.h
	);
	return holding.sort((a, b) => a.rect.w * a.rect.h - b.rect.w * b.rect.h)[0]?.name ?? '';
}

/** What stands written right above a thing, where that is a name. */
function labelsOf({ things }: Guided, marks: readonly Mark[]): (string | undefined)[] {
	const texts = marks.filter(
		(mark): mark is TextMark => mark.kind === 'text' && mark.style === 'hand' && isName(mark.text)
	);
	return things.map(({ box }, index) => {
		const above = texts.filter(
			(mark) => mark.y < box.y && thingAt(things, { x: Math.floor(mark.x), y: mark.y }) === index
		);
		return above.length === 1 ? above[0]?.text : undefined;
	});
}

const isName = (text: string) => /\p{L}{3}/u.test(text);
