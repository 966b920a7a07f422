import type { LineMark, Mark, Tone } from '../draw';
import { squares, type Dot, type Size } from '../paper';

/** The corner dot from which a step counts. */
export type Corner = 'top left' | 'top right' | 'bottom left' | 'bottom right';

/** Strokes of one length at equal distances, ruled one after another. */
export interface RuleStep {
	readonly kind: 'rule';
	/** Corner to count from, and how far to the first stroke's start. */
	readonly corner: Corner;
	readonly count: { readonly across: number; readonly down: number };
	readonly from: Dot;
	readonly to: Dot;
	/** Further strokes: how many, and how many squares apart. */
	readonly repeat?: {
		readonly times: number;
		readonly every: number;
		readonly direction: 'right' | 'down';
	};
	readonly sentence: string;
}

/** Something to write, after all ruling. */
export interface WriteStep {
	readonly kind: 'write';
	readonly at: Dot;
	readonly text: string;
	readonly sentence: string;
}

/** An area to tint, before anything is written on it. */
export interface TintStep {
	readonly kind: 'tint';
	readonly at: Dot;
	readonly size: Size;
	readonly sentence: string;
}

export type Step = RuleStep | WriteStep | TintStep;

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

/**
 * Counting guide of one page: steps that name dots, enough to draw every line. Strokes come first, the
 * longest before the shorter, then tints, then texts. Each start is counted from the corner dot that
 * is nearest.
 */
export function countingGuide(page: Size, marks: readonly Mark[]): Step[] {
	const lines = marks.flatMap((mark) => (mark.kind === 'line' ? [mark] : []));
	const tints = marks.flatMap((mark) => (mark.kind === 'tint' ? [mark] : []));
	const texts = marks.flatMap((mark) => (mark.kind === 'text' && mark.text ? [mark] : []));
	return [
		...series(lines)
			.sort((a, b) => strokeLength(b.first) - strokeLength(a.first))
			.map((found) => ruleStep(page, found)),
		...tints.map(({ x, y, w, h, tone }): TintStep => {
			const what = tintWords[tone];
			return {
				kind: 'tint',
				at: { x, y },
				size: { w, h },
				sentence: `${what}: ${squares(w)} wide and ${h} high from dot ${dot({ x, y })}.`
			};
		}),
		...writing(texts)
	];
}

interface Series {
	readonly first: LineMark;
	readonly times: number;
	readonly every: number;
}

function strokeLength({ x1, y1, x2, y2 }: LineMark): number {
	return Math.max(Math.abs(x2 - x1), Math.abs(y2 - y1));
}

/** Gathers parallel strokes of equal extent into runs of equal distance. */
function series(lines: readonly LineMark[]): Series[] {
	const groups = new Map<string, LineMark[]>();
	for (const stroke of lines) {
		const key =
			stroke.y1 === stroke.y2
				? `h ${stroke.x1} ${stroke.x2}`
				: stroke.x1 === stroke.x2
					? `v ${stroke.y1} ${stroke.y2}`
					: `s ${stroke.x1} ${stroke.y1} ${stroke.x2} ${stroke.y2}`;
		groups.set(key, [...(groups.get(key) ?? []), stroke]);
	}
	return [...groups.values()].flatMap(evenRuns);
}

function evenRuns(strokes: readonly LineMark[]): Series[] {
	const at = (stroke: LineMark) => (stroke.y1 === stroke.y2 ? stroke.y1 : stroke.x1);
	const sorted = [...strokes].sort((a, b) => at(a) - at(b));
	const runs: Series[] = [];
	for (const stroke of sorted) {
		const last = runs.at(-1);
		const distance = last ? at(stroke) - at(last.first) - last.every * last.times : 0;
		if (last && last.times === 0)
			runs[runs.length - 1] = { ...last, times: 1, every: at(stroke) - at(last.first) };
		else if (last && distance === last.every)
			runs[runs.length - 1] = { ...last, times: last.times + 1 };
		else runs.push({ first: stroke, times: 0, every: 0 });
	}
	return runs;
}

/** "(3, 5)": 3 right and 5 down from the top left dot. */
function dot({ x, y }: Dot): string {
	return `(${x}, ${y})`;
}

function ruleStep(page: Size, { first, times, every }: Series): RuleStep {
	const from = { x: first.x1, y: first.y1 };
	const to = { x: first.x2, y: first.y2 };
	const fromLeft = from.x <= page.w - from.x;
	const fromTop = from.y <= page.h - from.y;
	const corner: Corner = `${fromTop ? 'top' : 'bottom'} ${fromLeft ? 'left' : 'right'}`;
	const count = {
		across: fromLeft ? from.x : page.w - from.x,
		down: fromTop ? from.y : page.h - from.y
	};
	const steps = [
		count.across > 0 ? `${count.across} ${fromLeft ? 'right' : 'left'}` : '',
		count.down > 0 ? `${count.down} ${fromTop ? 'down' : 'up'}` : ''
	].filter(Boolean);
	const start =
		steps.length === 0
			? `Start at the ${corner} dot ${dot(from)}.`
			: `From the ${corner} dot count ${steps.join(' and ')}: dot ${dot(from)}.`;
	const horizontal = from.y === to.y;
	const rule =
		horizontal || from.x === to.x
			? `Rule ${squares(strokeLength(first))} ${horizontal ? 'to the right' : 'down'}, to dot ${dot(to)}.`
			: `Rule slantwise to dot ${dot(to)}.`;
	if (times === 0) return { kind: 'rule', corner, count, from, to, sentence: `${start} ${rule}` };
	const direction = horizontal ? 'down' : 'right';
	const shift = horizontal ? { x: 0, y: every * times } : { x: every * times, y: 0 };
	const last = { x: from.x + shift.x, y: from.y + shift.y };
	const again = `Rule the same ${times} more ${times === 1 ? 'time' : 'times'}, ${
		times === 1 ? `${squares(every)}` : `every ${squares(every)}`
	} ${direction === 'down' ? 'further down' : 'further right'}; the last one starts at dot ${dot(last)}.`;
	return {
		kind: 'rule',
		corner,
		count,
		from,
		to,
		repeat: { times, every, direction },
		sentence: `${start} ${rule} ${again}`
	};
}

/** Dates that follow one another share a step a row; other texts have a step each. */
function writing(texts: readonly Extract<Mark, { kind: 'text' }>[]): WriteStep[] {
	const rows: (typeof texts)[number][][] = [];
	for (const mark of texts) {
		const row = rows.at(-1);
		const before = row?.at(-1);
		if (row && before && before.style === mark.style && before.y === mark.y) row.push(mark);
		else rows.push([mark]);
	}
	return rows.flatMap((row): WriteStep[] => {
		const [first] = row;
		if (!first) return [];
		const at = { x: first.x, y: first.y };
		const words = row.map(({ text }) => text);
		const places = row.map(({ x, y }) => dot({ x, y }));
		const what =
			first.style === 'lettering'
				? `Draw the letters ${words.join(' ')}, ${squares(first.w)} wide and ${first.h} high,`
				: `Write ${words.map((word) => `“${word}”`).join(', ')}`;
		const where =
			row.length === 1
				? `right below dot ${places[0] ?? ''}`
				: `each right below its dot: ${places.join(', ')}`;
		return [{ kind: 'write', at, text: words.join(' '), sentence: `${what} ${where}.` }];
	});
}
