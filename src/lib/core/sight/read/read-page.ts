import { subjectKey, type FieldMark, type Mark } from '../../draw';
import type { PageField } from '../../page';
import { contains } from '../../paper';
import { filledIn, looksOf, type Cell } from './cells';
import { lightOfSquares, whiteOf, type Picture, type PlaceOf } from '../picture/colour';
import type { SeenPage } from '../find/see-page';
import { keySeen, levelSeen } from './levels-seen';
import { colouredIn, profileOf, spansSeen, type Profile } from './spans-seen';

/** What a field shows: read for sure, to be asked with what is likely first, or to be typed by whoever looks at it. */
export type Shown =
	| { readonly kind: 'sure'; readonly value: string }
	| { readonly kind: 'asked'; readonly likely: readonly string[] }
	| { readonly kind: 'typed' }
	| { readonly kind: 'hidden' };

/** A field of the page, what it shows, and its corners in the picture, clockwise from the first, in pixels. */
export interface FieldRead {
	readonly wish: string;
	readonly about: string;
	readonly field: FieldMark;
	readonly shown: Shown;
	readonly corners: readonly { readonly x: number; readonly y: number }[];
}

/** White is looked for so many squares around: where whole squares are coloured further than where marks are. */
const around = { marks: 2, colours: 9 };

/** What is filled in on a page of so many squares, by where its squares lie in the picture. */
export function readPage(
	picture: Picture,
	{ place, isNear }: Pick<SeenPage, 'place' | 'isNear'>,
	size: { readonly columns: number; readonly rows: number },
	fields: readonly PageField[],
	marks: readonly Mark[]
): FieldRead[] {
	const light = lightOfSquares(picture, place, size.columns, size.rows);
	const white = whiteOf(light, around.marks);
	const wide = whiteOf(light, around.colours);
	const whites = { wide, near: white };
	const seen = fields.map(({ wish, field }) => ({
		wish,
		about: subjectKey(field.about),
		field,
		corners: cornersOf(place, field)
	}));
	const isHidden = ({ field, corners }: (typeof seen)[number]) =>
		!isNear(field) ||
		corners.some(({ x, y }) => x < 0 || y < 0 || x >= picture.width || y >= picture.height);

	const marked = seen.filter((one) => isMark(one.field) && !isHidden(one));
	const isNumbered = ({ about, ...cell }: FieldMark) =>
		about.day === undefined &&
		marks.some((mark) => mark.kind === 'text' && mark.text !== '' && contains(cell, mark));
	const cells = marked.map(({ wish, field }): Cell => ({
		tracker: wish,
		field,
		isNumbered: isNumbered(field),
		looks: looksOf(picture, place, white, field)
	}));
	const filled = new Map(filledIn(cells).map((one, at) => [marked[at], one]));
	const upright = marks.flatMap((mark) =>
		mark.kind === 'line' && mark.x1 === mark.x2 ? [mark] : []
	);
	const isRuled = (column: number, { y, h }: FieldMark) =>
		upright.some(
			({ x1, y1, y2 }) =>
				x1 === column && Math.min(y1, y2) <= y + h / 2 && Math.max(y1, y2) >= y + h / 2
		);
	const key = keySeen(picture, place, wide, marks);
	const scaled = new Map<string, Map<(typeof seen)[number], Profile>>();
	for (const one of seen) {
		const { scale } = one.field;
		if (!scale || isHidden(one)) continue;
		const own = scaled.get(one.wish) ?? new Map<(typeof seen)[number], Profile>();
		scaled.set(
			one.wish,
			own.set(
				one,
				profileOf(picture, place, whites, one.field, scale, (column) => isRuled(column, one.field))
			)
		);
	}

	function shown(one: (typeof seen)[number]): Shown {
		const { field } = one;
		if (isHidden(one)) return { kind: 'hidden' };
		const how = filled.get(one);
		if (how)
			return how === 'doubtful'
				? { kind: 'asked', likely: ['x', ''] }
				: { kind: 'sure', value: how === 'filled' ? 'x' : '' };
		if (field.holds === 'level') {
			const level = levelSeen(picture, place, wide, field, key);
			const names = Array.from({ length: field.levels?.length ?? 0 }, (_, at) => `${at + 1}`);
			if (!level) return { kind: 'asked', likely: [...names, ''] };
			const text = (place: number) => (place === 0 ? '' : String(place));
			return level.sure
				? { kind: 'sure', value: text(level.level) }
				: { kind: 'asked', likely: level.likely.map(text) };
		}
		const { scale } = field;
		const profiles = scaled.get(one.wish);
		const profile = profiles?.get(one);
		if (!scale || !profiles || !profile) return { kind: 'typed' };
		const usual = colouredIn([...profiles.values()]);
		if (usual === undefined) return { kind: 'sure', value: '' };
		const { value, sure } = spansSeen(field, scale, profile, usual);
		return sure ? { kind: 'sure', value } : { kind: 'asked', likely: [value, ''] };
	}
	return seen.map((one) => ({ ...one, shown: shown(one) }));
}

const isMark = ({ holds }: FieldMark) => holds === 'mark' || holds === 'tick';

function cornersOf(place: PlaceOf, { x, y, w, h, beyond = 0 }: FieldMark) {
	const [left, right] = [x - beyond, x + w + beyond];
	return [place(left, y), place(right, y), place(right, y + h), place(left, y + h)];
}
