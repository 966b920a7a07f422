import type { Tone } from '../draw';
import type { Dot, Size } from '../paper';
import { tickedBy, type Place, type TickStep } from './place';
import type { CompassStep, RuleStep, Step, TintStep, WriteStep } from './steps';

/** What a person counts: the squares or the dots. */
export type CountedIn = 'squares' | 'dots';

const tintWords: Record<Tone, string> = {
	rest: 'Tint the rest day',
	art: 'Keep this area for a picture',
	line: 'Tint this line',
	bar: 'Tint the bar',
	slack: 'Tint the slack more lightly',
	'level-1': 'Fill with the first colour of the key',
	'level-2': 'Fill with the second colour of the key',
	'level-3': 'Fill with the third colour of the key',
	'level-4': 'Fill with the fourth colour of the key',
	'level-5': 'Fill with the fifth colour of the key',
	'level-6': 'Fill with the sixth colour of the key'
};

/** A step of a page's guide in a person's words: the same as its numbers say. */
export function sentenceOf(step: Step, page: Size, unit: CountedIn = 'squares'): string {
	switch (step.kind) {
		case 'tick':
			return tickSentence(step, page);
		case 'rule':
			return `${ends(step, page)} ${ruleSentence(step, unit)}`;
		case 'compass':
			return compassSentence(step, page);
		case 'tint':
			return `${ends(step, page)} ${tintWords[step.tone]} between them${moreLike(step, unit)}.`;
		case 'write':
			return `Begin at ${placeWords(step.begin, page)}. ${writeSentence(step)}`;
	}
}

/** "(3, 5)": 3 right and 5 down from the top left dot. */
function dot({ x, y }: Dot): string {
	return `dot (${x}, ${y})`;
}

function nameOf(at: Dot, page: Size): string {
	const across = at.x === 0 ? 'left' : at.x === page.w ? 'right' : undefined;
	const down = at.y === 0 ? 'top' : at.y === page.h ? 'bottom' : undefined;
	return across && down ? `the ${down} ${across} corner` : dot(at);
}

/** A dot with the way to it; `before` is where the pen was last. */
function placeWords({ at, reference, count }: Place, page: Size, before?: Dot): string {
	const { across, down } = count;
	const ways = [
		across === 0 ? [] : [`${Math.abs(across)} ${across > 0 ? 'right' : 'left'}`],
		down === 0 ? [] : [`${Math.abs(down)} ${down > 0 ? 'down' : 'up'}`]
	].flat();
	if (ways.length === 0) return nameOf(at, page);
	const there = before && before.x === reference.x && before.y === reference.y;
	return `${dot(at)}, ${ways.join(' and ')} from ${there ? 'there' : nameOf(reference, page)}`;
}

function ends({ begin, end }: { begin: Place; end: Place }, page: Size): string {
	return `Begin at ${placeWords(begin, page)}. End at ${placeWords(end, page, begin.at)}.`;
}

function tickSentence(step: TickStep, page: Size): string {
	const { reference, direction, times } = step;
	const way = direction === 'right' || direction === 'left' ? `to the ${direction}` : direction;
	const last = tickedBy(step).at(-1) ?? reference;
	const from = `from ${nameOf(reference, page)}`;
	return times === 1
		? `Tick the tenth dot ${way} ${from}: ${dot(last)}.`
		: `Tick every tenth dot ${way} ${from}, ${times} in all: the last is ${dot(last)}.`;
}

function compassSentence({ begin, end, part, mm }: CompassStep, page: Size): string {
	const what = part === 'whole' ? 'the circle' : 'the half circle above it';
	const wide = mm === undefined ? '' : ` (${Math.round(mm * 10) / 10} mm)`;
	return `Set the compass on ${placeWords(begin, page)}. Open it to ${placeWords(end, page, begin.at)}${wide}. Draw ${what}.`;
}

function ruleSentence(step: RuleStep, unit: CountedIn): string {
	return `Rule the line${moreLike(step, unit)}.`;
}

/** How many more like it there are, and how far apart. */
function moreLike({ repeat }: RuleStep | TintStep, unit: CountedIn): string {
	if (!repeat) return '';
	const { times, every, direction } = repeat;
	const counted = `${every} ${every === 1 ? unit.slice(0, -1) : unit} further ${direction}`;
	return times === 1
		? `, and one more like it, ${counted}`
		: `, and ${times} more like it, each ${counted}`;
}

function writeSentence({ style, texts }: WriteStep): string {
	const [first, ...others] = texts;
	const verb = style === 'lettering' ? 'Draw' : 'Write';
	const then = others.map(({ text, at }) => `, then “${text}” below ${dot(at)}`);
	return `${verb} “${first?.text ?? ''}” right below it${then.join('')}.`;
}
