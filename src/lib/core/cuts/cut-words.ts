import { marginMm, type Notebook, type Side } from '../paper';
import type { CutLine, LeafLines } from './cut-lines';

/** A cut that lies so near to the dots on both sides of its leaf, in mm, is told by its dots first. */
const nearMm = 0.5;
/** What is nearer to a dot than this, in mm, lies on it: a pencil's line is wider. */
const onMm = 0.05;

/**
 * The lines of a cut in words, on the leaf's front and on its back: by the dots first where these agree with the cut on both
 * sides, else by the ruler; always both. Columns and rows of dots count from 0 at the first dot; an oblique line is told by its
 * ends.
 */
export function cutInWords(
	notebook: Notebook,
	{ front, back }: LeafLines
): { readonly front: string; readonly back: string } {
	const isNear = front.map((line, at) => Math.max(line.offDots, back[at]?.offDots ?? 0) <= nearMm);
	const told = (lines: readonly CutLine[], side: Side) =>
		lines.map((line, at) => lineInWords(notebook, side, line, isNear[at] ?? false)).join('; ');
	return { front: told(front, 'right'), back: told(back, 'left') };
}

function lineInWords(
	notebook: Notebook,
	side: Side,
	{ from, to }: CutLine,
	dotsFirst: boolean
): string {
	const isUpright = from.x === to.x;
	if (!isUpright && from.y !== to.y)
		return `from (${mm(from.x)}, ${mm(from.y)}) to (${mm(to.x)}, ${mm(to.y)}) mm`;
	const { pageMm, pitchMm } = notebook;
	const margin = marginMm(notebook, side);
	const [at, whole, first] = isUpright
		? [from.x, pageMm.width, margin.x]
		: [from.y, pageMm.height, margin.y];
	const [low, high, length, firstAlong] = isUpright
		? [Math.min(from.y, to.y), Math.max(from.y, to.y), pageMm.height, margin.y]
		: [Math.min(from.x, to.x), Math.max(from.x, to.x), pageMm.width, margin.x];
	const [before, after, line, across] = isUpright
		? ['left', 'right', 'column', 'row']
		: ['top', 'bottom', 'row', 'column'];
	const [beginning, end] = isUpright ? ['top', 'bottom'] : ['left', 'right'];
	const isThrough = low <= 0 && high >= length;

	const dot = Math.round((at - first) / pitchMm);
	const off = at - first - dot * pitchMm;
	const beyond = isUpright ? 'right of' : 'below';
	const short = isUpright ? 'left of' : 'above';
	const dots =
		Math.abs(off) <= onMm
			? `along the dots of ${line} ${dot}`
			: `${mm(Math.abs(off))} mm ${off > 0 ? beyond : short} the dots of ${line} ${dot}`;
	const onDot = (mark: number) => {
		const nearest = Math.round((mark - firstAlong) / pitchMm);
		const isOn = Math.abs(mark - firstAlong - nearest * pitchMm) <= nearMm;
		return isOn ? `${across} ${nearest}` : `${mm(mark)} mm`;
	};
	const through = `from ${beginning} to ${end}`;
	const byDots = isThrough
		? through
		: `from ${low <= 0 ? `the ${beginning} edge` : onDot(low)} to ${high >= length ? `the ${end} edge` : onDot(high)}`;
	const ruler = `${mm(at)} mm from the ${before} edge and ${mm(whole - at)} mm from the ${after}`;
	const byRuler = `from ${mm(Math.max(0, low))} to ${mm(Math.min(length, high))} mm`;
	if (dotsFirst) return `${dots}, ${byDots} (${ruler}${isThrough ? '' : `, ${byRuler}`})`;
	return `${ruler}, ${isThrough ? through : byRuler} (${dots}${isThrough ? '' : `, ${byDots}`})`;
}

/** A length in mm as it is read off a ruler, to a hundredth. */
export function mm(length: number): string {
	return String(Math.round(length * 100) / 100);
}
