import fc from 'fast-check';
import { beforeAll, describe, expect, test } from 'vitest';
import { aprilAlbum, exposed, type Album } from '../../../../../tests/support/album';
import { frame, grid, line, move, type Mark } from '../../draw';
import { checkPage } from './check-page';
import { findingWords } from './finding-words';
import { seePage } from '../find/see-page';
import { edgesPlanned } from '../find/unit-edges';

const [columns, rows] = [20, 24];
const upright = { turn: 0, column: 0, row: 0 } as const;

/** Marks as a picture shows them that ends with the page. */
const asDrawn = (marks: readonly Mark[]) => ({
	...edgesPlanned(marks, columns, rows),
	beyond: 0,
	ended: { left: false, right: false, top: false, bottom: false }
});

/** What is found where marks are drawn in place of others. */
function check(planned: readonly Mark[], drawn: readonly Mark[]) {
	return checkPage(
		asDrawn(drawn),
		upright,
		edgesPlanned(planned, columns, rows),
		planned,
		[],
		[{ x: 0, y: 0, w: columns, h: rows }]
	);
}

const anyGrid = fc
	.record({
		x: fc.integer({ min: 2, max: 5 }),
		y: fc.integer({ min: 2, max: 5 }),
		w: fc.integer({ min: 2, max: 3 }),
		h: fc.integer({ min: 2, max: 3 }),
		across: fc.integer({ min: 2, max: 3 }),
		down: fc.integer({ min: 2, max: 4 })
	})
	.map(({ x, y, w, h, across, down }) => grid({ x, y }, { w, h }, across, down));

describe('drawn lines against planned ones', () => {
	test('what is drawn as planned is right, line by line', () => {
		fc.assert(
			fc.property(anyGrid, (marks) => {
				const { findings, parts, isDrawn } = check(marks, marks);
				expect(findings).toEqual([]);
				expect(parts).toEqual(['right']);
				for (const { x1, y1, x2, y2 } of marks)
					expect(isDrawn({ from: { x: x1, y: y1 }, to: { x: x2, y: y2 } })).toBe(true);
			})
		);
	});

	test('a grid that was moved is one finding, with how far', () => {
		const far = fc.integer({ min: -2, max: 2 });
		fc.assert(
			fc.property(anyGrid, far, far, (marks, x, y) => {
				fc.pre(x !== 0 || y !== 0);
				const { findings } = check(
					marks,
					marks.map((mark) => move(mark, { x, y }))
				);
				// A fine grid that was moved by as much as it repeats lies on itself but for its outer lines.
				fc.pre(findings.every(({ kind }) => kind === 'moved'));
				expect(findings).toMatchObject([{ kind: 'moved', by: { x, y } }]);
			})
		);
	});

	test('a line that stands one square off, one that is missing, and one too many', () => {
		const box = frame({ x: 2, y: 2, w: 12, h: 16 });
		const inner = [line(2, 6, 14, 6), line(2, 10, 14, 10), line(8, 10, 8, 18)];
		const drawn = [...box, line(2, 7, 14, 7), line(8, 10, 8, 18), line(17, 4, 17, 12)];
		const { findings, isDrawn } = check([...box, ...inner], drawn);
		expect(findings.map(findingWords)).toEqual([
			'The line from (2, 6) to (14, 6) stands one square too low: draw it anew.',
			'The line from (2, 10) to (14, 10) is missing.',
			'The line from (17, 4) to (17, 12) is none of the plan’s.'
		]);
		expect(isDrawn({ from: { x: 2, y: 6 }, to: { x: 14, y: 6 } })).toBe(false);
		expect(isDrawn({ from: { x: 8, y: 10 }, to: { x: 8, y: 18 } })).toBe(true);
	});

	test('what is not begun is said once, and not line by line', () => {
		const [first, second] = [
			frame({ x: 1, y: 1, w: 8, h: 8 }),
			frame({ x: 11, y: 12, w: 6, h: 6 })
		];
		const planned = [...first, ...second];
		const { findings, parts } = checkPage(
			asDrawn(first),
			upright,
			edgesPlanned(planned, columns, rows),
			planned,
			[],
			[
				{ x: 1, y: 1, w: 8, h: 8 },
				{ x: 11, y: 12, w: 6, h: 6 }
			]
		);
		expect(findings).toEqual([]);
		expect(parts).toEqual(['right', 'not begun']);
	});
});

describe('in a photograph', () => {
	let album: Album;
	beforeAll(() => {
		album = aprilAlbum();
	});

	test('a line one square off is found out, in pencil, and nothing else', () => {
		const page = 102;
		const own = album.known.find((one) => one.page === page);
		const marks = own?.marks ?? [];
		// The column of the money was ruled one square too far to the right.
		const wrong = marks.find(
			(mark) => mark.kind === 'line' && mark.x1 === mark.x2 && mark.x1 > 4 && mark.y2 - mark.y1 > 20
		);
		if (wrong?.kind !== 'line') throw new Error('there is no long column');
		const { photograph } = exposed(
			album,
			page,
			{ seed: 'off', width: 900 },
			{ ink: [118, 116, 114] },
			(all) => all.map((mark) => (mark === wrong ? move(mark, { x: 1, y: 0 }) : mark))
		);
		const seen = seePage(photograph, album.plan.notebook, album.known);
		if ('says' in seen) throw new Error(seen.says);
		const size = album.plan.notebook;
		const { findings } = checkPage(
			seen.drawn,
			seen.placement,
			edgesPlanned(marks, size.columns, size.rows),
			marks,
			[],
			[]
		);
		expect(findings.every(({ kind }) => kind === 'off')).toBe(true);
		expect(findings.map(findingWords).join(' ')).toContain('one square to the right');
		const length = findings.reduce(
			(sum, finding) =>
				sum + (finding.kind === 'off' ? finding.piece.to.y - finding.piece.from.y : 0),
			0
		);
		expect(length).toBe(wrong.y2 - wrong.y1);
	});
});
