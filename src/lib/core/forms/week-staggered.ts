import { undated, weekOfMonth, cellSize } from './common-rules';
import { line, type Mark } from '../draw';
import { cellDiscomfort, ranked, type Form, type Layout, type Room, type Setting } from './form';
import { daysOfWeek, dayHeading, spareHeading, weekNumberOf } from './week';

const usual = { w: 9, h: 13 };
const boxes = 8;

type SpreadRoom = Room & { span: 'spread' };

/** A box on the spread, x counted over both pages and the gutter between them. */
interface Box {
	readonly x: number;
	readonly y: number;
}

/** Rows of boxes, each row shifted by half a box against the one before. */
function placesIn(room: SpreadRoom, w: number, h: number): Box[] {
	const total = room.left.w + room.gutter + room.right.w;
	const height = Math.min(room.left.h, room.right.h);
	const rows = Math.floor(height / h);
	const each = Math.ceil(boxes / Math.max(1, rows));
	const shift = Math.floor(w / 2);
	return Array.from({ length: boxes }, (_, index) => {
		const row = Math.floor(index / each);
		return { x: (index % each) * w + (row % 2) * shift, y: row * h };
	}).filter(({ x, y }) => x + w <= total && y + h <= height && usable(room, x, w));
}

/** A box over the fold must show at least a square on each page; its gutter squares count but are lost. */
function usable(room: SpreadRoom, x: number, w: number): boolean {
	const fold = room.left.w;
	const after = fold + room.gutter;
	const inGutter = x >= fold && x < after;
	const endsInGutter = x + w > fold && x + w <= after;
	return !inGutter && !endsInGutter;
}

/**
 * A week in boxes of a fixed size, 9 × 13 unless asked for, in rows that are shifted against each other;
 * a box may cross the fold, whose squares count towards its width and are lost. (Common practice.)
 */
export const weekStaggered: Form = {
	id: 'week-staggered',
	name: 'Week in staggered boxes',
	spans: ['spread'],
	content: [],
	rules: [weekOfMonth, cellSize, undated],
	layouts: (setting, room) => {
		const { w, h } = cellSize.of(setting) ?? usual;
		if (room.span === 'page') return [];
		const places = placesIn(room, w, h);
		const layouts: Layout[] = places.length < boxes ? [] : [toLayout(setting, room, places, w, h)];
		return ranked(layouts);
	}
};

function toLayout(
	setting: Setting,
	room: SpreadRoom,
	places: readonly Box[],
	w: number,
	h: number
): Layout {
	const height = Math.max(...places.map(({ y }) => y)) + h;
	const crossing = places.filter(({ x }) => x < room.left.w && x + w > room.left.w).length;
	return {
		room: { ...room, left: { w: room.left.w, h: height }, right: { w: room.right.w, h: height } },
		discomfort: cellDiscomfort(Math.min(w, h) - 1),
		stretches: false,
		facts: { cell: { w, h }, capacity: boxes, week: weekNumberOf(setting), used: w - room.gutter },
		why: [
			`eight boxes of ${w} × ${h}, ${height} down`,
			`${crossing} over the fold: ${w} wide, ${w - room.gutter} drawn`
		],
		marks: () => [
			pageMarks(setting, room, places, w, h, 'left'),
			pageMarks(setting, room, places, w, h, 'right')
		]
	};
}

function pageMarks(
	setting: Setting,
	room: SpreadRoom,
	places: readonly Box[],
	w: number,
	h: number,
	side: 'left' | 'right'
): Mark[] {
	const days = daysOfWeek(setting);
	const [from, width] =
		side === 'left' ? [0, room.left.w] : [room.left.w + room.gutter, room.right.w];
	return places.flatMap(({ x, y }, index): Mark[] => {
		const start = Math.max(0, x - from);
		const end = Math.min(width, x + w - from);
		if (end <= start) return [];
		const opens = x >= from;
		const closes = x + w <= from + width;
		const box = { x: start, y, w: end - start, h };
		const day = days[index];
		const heading = opens
			? day
				? [dayHeading(setting, day, box)]
				: spareHeading(setting, box)
			: [];
		return [
			...heading,
			line(start, y, end, y),
			line(start, y + h, end, y + h),
			...(opens ? [line(start, y, start, y + h)] : []),
			...(closes ? [line(end, y, end, y + h)] : [])
		];
	});
}
