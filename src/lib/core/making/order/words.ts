import type { Tone } from '../../draw';
import type { PaperKind } from '../../paper';
import { inkFacts, type InkKind } from '../means/inks';
import { isInked, type PassId } from '../means/passes';
import type { Task } from './rules';
import type { Back, Shelf } from '../means/shelf';
import { usualTools, type Tools } from '../means/tools';

const toneWords: Readonly<Record<Tone, string>> = {
	rest: 'the days of rest',
	art: 'the picture',
	line: 'every second line',
	bar: 'the bars',
	slack: 'the slack beside the bars',
	'level-1': 'the first colour of the key',
	'level-2': 'the second colour of the key',
	'level-3': 'the third colour of the key',
	'level-4': 'the fourth colour of the key',
	'level-5': 'the fifth colour of the key',
	'level-6': 'the sixth colour of the key'
};

/** A task in a person's words, without its page. */
export function taskWords({ pass, tone }: Task): string {
	switch (pass) {
		case 'cut':
			return 'Cut the leaf';
		case 'pencil':
			return 'Pencil boxes for the letters';
		case 'tint':
			return `Tint ${toneWords[tone ?? 'rest']}`;
		case 'rule':
			return 'Rule all lines';
		case 'letter':
			return 'Draw the letters';
		case 'write':
			return 'Write names and dates';
		case 'picture':
			return 'Draw the picture';
		case 'paste':
			return 'Paste in what is printed';
		case 'erase':
			return 'Erase the pencil';
		case 'look':
			return 'Check';
	}
}

const toolsOf: Readonly<Record<PassId, readonly string[]>> = {
	cut: ['blade', 'metal ruler', 'board'],
	pencil: ['pencil', 'ruler'],
	tint: [],
	rule: ['ruler'],
	letter: [],
	write: [],
	picture: ['pencil'],
	paste: ['printed sheet', 'scissors', 'glue'],
	erase: ['eraser'],
	look: []
};

/** What lies on the desk for some tasks, each thing once, in the order in which it is taken up. */
export function layOut(tasks: readonly Task[], shelf: Shelf, tools: Tools = usualTools): string[] {
	const things = tasks.flatMap(({ pass, round }) => [
		...(isInked(pass) ? [inkFacts[shelf[pass].kind].name] : []),
		...toolsOf[pass],
		...(round ? [tools.compass ? 'compass' : 'something round to draw along'] : [])
	]);
	return [...new Set(things)];
}

/** Below this weight, in g/m², lines show on the other side of the leaf (common practice). */
const thin = 90;

/** What to mind at a task: with the blade, with the ink, on this paper. */
export function mindAt(
	{ pass, page, longestMm = 0 }: Task,
	shelf: Shelf,
	paper: PaperKind = {},
	{ rulerCm }: Tools = usualTools
): string[] {
	if (pass === 'cut') return ['A board under the leaf, light strokes, the blade away from you.'];
	if (pass === 'paste')
		return ['Leave the book open until it is dry: closed on paste, pages stick.'];
	const inked = pass === 'picture' ? 'tint' : pass;
	if (!isInked(inked)) return [];
	const { kind, back = usualBack(kind, paper) } = shelf[inked];
	const behind = page % 2 === 1 ? page + 1 : page - 1;
	const { mind } = inkFacts[kind];
	return [
		...(longestMm > rulerCm * 10
			? [
					`The longest line takes ${longestMm / 10} cm, your ruler ${rulerCm}: mark the dots between its ends and rule it in two goes.`
				]
			: []),
		...(mind && kind !== 'alcohol' ? [mind] : []),
		...(back === 'bleeds'
			? [
					`It goes through this paper: lay a sheet beneath, and want nothing on page ${behind} behind.`
				]
			: []),
		...(back === 'shows' ? [`It shows on page ${behind} behind: press lightly.`] : []),
		...(kind === 'gel' && shelf.tint.kind === 'acrylic' && inked !== 'tint'
			? ['The tint is acrylic: write beside it, or with another pen.']
			: []),
		...(kind === 'watercolour' && inked === 'tint' && !waterproofLines(shelf)
			? ['The pen that rules is not waterproof: no brush over a line of it.']
			: [])
	];
}

/** What is usually seen on the back of a leaf; what was found on the test page counts more. (Common practice.) */
function usualBack(kind: InkKind, { weight, bearsAlcoholInk }: PaperKind): Back {
	if (kind === 'alcohol') return bearsAlcoholInk ? 'clean' : 'bleeds';
	const dark = kind !== 'graphite' && kind !== 'crayon';
	return dark && weight !== undefined && weight < thin ? 'shows' : 'clean';
}

function waterproofLines({ rule }: Shelf): boolean {
	return rule.waterproof ?? (rule.kind === 'liner' || rule.kind === 'graphite');
}

/** What can be done when a task goes wrong (common practice). */
export const slips: Readonly<Record<PassId, string>> = {
	cut: 'A cut that went too far is closed from behind with a strip of the scrap; then the next leaf is measured from this one.',
	pencil: 'Erase it before any ink is near.',
	tint: 'Go on to the next edge, so that the slip becomes part of the area; a drop is dabbed off, not wiped.',
	rule: 'A line that went too far becomes a double line or the edge of a tint; a wrong one goes under a strip of plain paper or white ink.',
	letter:
		'A wrong letter is made bolder into the right one, or the whole word gets a label over it.',
	write:
		'A wrong number is made into the right one if it allows that; else strike it out once and write beside it.',
	picture:
		'What went wrong in a picture becomes a shadow, a leaf or a pattern; else a new one is drawn on paper of its own and pasted over it.',
	paste:
		'Lift it while it is wet, from one corner; what is torn or crooked is printed again and pasted over it.',
	erase: 'Ink that came off is drawn again once the paper has cooled down.',
	look: 'What is missing is added now; what is one too many is left.'
};
