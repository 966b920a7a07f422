import {
	checkPage,
	edgesPlanned,
	findingWords,
	greyOf,
	measurePage,
	measureSpread,
	piecesOf,
	readPage,
	seePage,
	type FieldRead,
	type Finding,
	type KnownPage,
	type MeasuredPage,
	type PartState,
	type Picture,
	type Piece,
	type SeenPage
} from '$lib/core/sight';
import { blocksOn, pageFields, pageMarks } from '$lib/core/page';
import { kindOf, type Plan, type Run } from '$lib/core/fit';
import { contains, type Dot, type Notebook, type Rect, type Side } from '$lib/core/paper';
import { decoded } from './picture';
import { resolutionOf } from './resolution';

/** What a picture is looked at for. */
export type SightRequest =
	| {
			readonly kind: 'measure';
			readonly picture: Blob;
			/** Which page is to be seen, or both of the open spread. */
			readonly side: Side | 'both';
			readonly pageMm: Notebook['pageMm'];
	  }
	| {
			readonly kind: 'read';
			readonly picture: Blob;
			readonly plan: Plan;
			readonly run: Run;
			/** Where the person says which page it is. */
			readonly page?: number;
	  }
	| {
			readonly kind: 'check';
			readonly picture: Blob;
			readonly plan: Plan;
			readonly run: Run;
			readonly page: number;
			/** The lines of each step of the page's guide; none where a step rules nothing. */
			readonly steps: readonly (readonly Piece[])[];
	  };

interface Size {
	readonly width: number;
	readonly height: number;
}

/** Pages that were measured, and the size in pixels of the picture in which their dots are told. */
export interface Measured {
	readonly pages: readonly Omit<MeasuredPage, 'warp'>[];
	readonly picture: Size;
}

/** What was read on a page: the pages that it may be where several are ruled alike. */
export interface ReadPicture {
	readonly pages: readonly number[];
	readonly page: number;
	readonly fields: readonly FieldRead[];
	readonly picture: Size;
	/** Where the page's dots lie in the picture. */
	readonly view: Rect;
}

/** What is wrong on a page, and where that lies in the picture. */
export interface Found {
	readonly words: string;
	readonly kind: Finding['kind'];
	readonly lines: readonly { readonly from: Dot; readonly to: Dot }[];
	/** What stands elsewhere as a whole, and how far away. */
	readonly stands?: { readonly wish: string; readonly by: Dot };
}

/** A page that was compared with its plan. */
export interface CheckedPicture {
	readonly found: readonly Found[];
	readonly parts: readonly { readonly name: string; readonly state: PartState }[];
	/** Steps of the guide of which all lines are drawn, by their places. */
	readonly right: readonly number[];
	/** Whether some lines cannot be judged, as those beside filled squares. */
	readonly isPartlyHidden: boolean;
	readonly picture: Size;
	readonly view: Rect;
}

export type SightMessage =
	| { readonly kind: 'progress'; readonly share: number }
	| { readonly kind: 'measured'; readonly measured: Measured }
	| { readonly kind: 'read'; readonly read: ReadPicture }
	| { readonly kind: 'checked'; readonly checked: CheckedPicture }
	| { readonly kind: 'refused'; readonly says: string };

self.onmessage = async ({ data }: MessageEvent<SightRequest>) => {
	const tell = (message: SightMessage) => self.postMessage(message);
	tell(await answered(data, (share) => tell({ kind: 'progress', share })));
};

async function answered(
	request: SightRequest,
	progress: (share: number) => void
): Promise<SightMessage> {
	const picture = await decoded(request.picture);
	if ('says' in picture) return { kind: 'refused', says: picture.says };
	if (request.kind === 'measure') {
		const grey = greyOf(picture.rgba, picture.width, picture.height);
		const perMm = await resolutionOf(request.picture);
		const measuring = { progress, perMm: perMm && perMm * picture.scale };
		const found =
			request.side === 'both'
				? measureSpread(grey, request.pageMm, measuring)
				: measurePage(grey, request.side, request.pageMm, measuring);
		if ('says' in found) return { kind: 'refused', says: found.says };
		const pages = 'left' in found ? [found.left, found.right] : [found];
		return {
			kind: 'measured',
			// A map cannot be sent.
			measured: { pages: pages.map(({ warp: _, ...page }) => page), picture: sizeOf(picture) }
		};
	}
	return request.kind === 'read'
		? readIn(request, picture, progress)
		: checkedIn(request, picture, progress);
}

/** Everything that is drawn and filled in on the pages of a run. */
function knownPages(plan: Plan, run: Run): KnownPage[] {
	return run.pages.flatMap(({ number }) =>
		blocksOn(run, number).length > 0
			? [
					{
						page: number,
						marks: pageMarks(plan, run, number),
						fields: pageFields(plan, run, number)
					}
				]
			: []
	);
}

type Progress = (share: number) => void;

function readIn(
	{ plan, run, page: asked }: Extract<SightRequest, { kind: 'read' }>,
	picture: Picture,
	progress: Progress
): SightMessage {
	const known = knownPages(plan, run).filter(({ page }) => asked === undefined || page === asked);
	const seen = seePage(picture, plan.notebook, known, progress);
	if ('says' in seen) return { kind: 'refused', says: seen.says };
	const [page = 0] = seen.pages;
	const shown = known.find((one) => one.page === page);
	const fields = readPage(picture, seen, plan.notebook, shown?.fields ?? [], shown?.marks ?? []);
	const view = viewOf(seen.place, plan.notebook);
	return {
		kind: 'read',
		read: { pages: seen.pages, page, fields, picture: sizeOf(picture), view }
	};
}

function checkedIn(
	{ plan, run, page, steps }: Extract<SightRequest, { kind: 'check' }>,
	picture: Picture,
	progress: Progress
): SightMessage {
	const known = knownPages(plan, run);
	const seen = seePage(picture, plan.notebook, known, progress);
	if ('says' in seen) return { kind: 'refused', says: seen.says };
	const own = known.find((one) => one.page === page);
	if (!own || !seen.pages.includes(page))
		return { kind: 'refused', says: `This is page ${seen.pages.join(' or ')}, not page ${page}.` };
	const { place, drawn, placement } = seen;
	const fields = readPage(picture, seen, plan.notebook, own.fields, own.marks);
	const named = blocksOn(run, page).flatMap(({ wish, as, pieces }) =>
		pieces.flatMap((piece) =>
			piece.page === page ? [{ wish, name: as.title || kindOf(as).name, rect: piece.rect }] : []
		)
	);
	const checked = checkPage(
		drawn,
		placement,
		edgesPlanned(own.marks, plan.notebook.columns, plan.notebook.rows),
		own.marks,
		// Beside what is empty for sure lines are seen.
		fields
			.filter(({ shown }) => shown.kind !== 'sure' || shown.value !== '')
			.filter(({ shown }) => shown.kind !== 'typed')
			.map(({ field }) => field),
		named.map(({ rect }) => rect)
	);
	const at = ({ x, y }: Dot) => place(x, y);
	return {
		kind: 'checked',
		checked: {
			found: checked.findings.map((finding) => ({
				words: findingWords(finding),
				kind: finding.kind,
				lines: piecesOf(finding).map(({ from, to }) => ({ from: at(from), to: at(to) })),
				...wholeOf(finding, named)
			})),
			parts: named.map(({ name }, index) => ({ name, state: checked.parts[index] ?? 'no lines' })),
			right: steps.flatMap((lines, index) =>
				lines.length > 0 && lines.every(checked.isDrawn) ? [index] : []
			),
			isPartlyHidden: checked.unseen > 0,
			picture: sizeOf(picture),
			view: viewOf(place, plan.notebook)
		}
	};
}

/** The block that was moved as a whole, if all of its lines hang together. */
function wholeOf(
	finding: Finding,
	blocks: readonly { readonly wish: string; readonly rect: Rect }[]
): Pick<Found, 'stands'> {
	if (finding.kind !== 'moved') return {};
	const { w, h } = finding.rect;
	const block = blocks.find(({ rect }) => contains(rect, finding.rect));
	// What lies in a corner of a block is a part of it that slipped.
	return block && 2 * w * h > block.rect.w * block.rect.h
		? { stands: { wish: block.wish, by: finding.by } }
		: {};
}

const sizeOf = ({ width, height }: Picture): Size => ({ width, height });

/** So much of the paper around the dots is shown, in squares. */
const around = 1;

function viewOf(place: SeenPage['place'], { columns, rows }: Notebook): Rect {
	const corners = [-around, columns + around].flatMap((x) =>
		[-around, rows + around].map((y) => place(x, y))
	);
	const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)];
	const [x, y] = [Math.min(...xs), Math.min(...ys)];
	return { x, y, w: Math.max(...xs) - x, h: Math.max(...ys) - y };
}
