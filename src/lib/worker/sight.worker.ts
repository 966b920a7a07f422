import {
	measurePage,
	greyOf,
	readPage,
	seePage,
	type FieldRead,
	type KnownPage,
	type MeasuredPage,
	type SeenPage
} from '$lib/core/sight';
import { blocksOn, pageFields, pageMarks } from '$lib/core/page';
import type { Plan, Run } from '$lib/core/fit';
import type { Notebook, Rect, Side } from '$lib/core/paper';
import { decoded } from './picture';

/** What a picture is looked at for. */
export type SightRequest =
	| {
			readonly kind: 'measure';
			readonly picture: Blob;
			readonly side: Side;
			readonly pageMm: Notebook['pageMm'];
	  }
	| {
			readonly kind: 'read';
			readonly picture: Blob;
			readonly plan: Plan;
			readonly run: Run;
			/** Where the person says which page it is. */
			readonly page?: number;
	  };

interface Size {
	readonly width: number;
	readonly height: number;
}

/** What was measured, and the size in pixels of the picture in which the dots are told. */
export type Measured = Omit<MeasuredPage, 'warp'> & { readonly picture: Size };

/** What was read on a page: the pages that it may be where several are ruled alike. */
export interface ReadPicture {
	readonly pages: readonly number[];
	readonly page: number;
	readonly fields: readonly FieldRead[];
	readonly picture: Size;
	/** Where the page's dots lie in the picture. */
	readonly view: Rect;
}

export type SightMessage =
	| { readonly kind: 'progress'; readonly share: number }
	| { readonly kind: 'measured'; readonly page: Measured }
	| { readonly kind: 'read'; readonly read: ReadPicture }
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
	const size = { width: picture.width, height: picture.height };
	if (request.kind === 'measure') {
		const grey = greyOf(picture.rgba, size.width, size.height);
		const found = measurePage(grey, request.side, request.pageMm, progress);
		if ('says' in found) return { kind: 'refused', says: found.says };
		const { warp: _, ...page } = found;
		return { kind: 'measured', page: { ...page, picture: size } };
	}
	const { plan, run, page: asked } = request;
	const known = run.pages.flatMap(({ number }): KnownPage[] =>
		blocksOn(run, number).length > 0 && (asked === undefined || asked === number)
			? [
					{
						page: number,
						marks: pageMarks(plan, run, number),
						fields: pageFields(plan, run, number)
					}
				]
			: []
	);
	const seen = seePage(picture, plan.notebook, known, progress);
	if ('says' in seen) return { kind: 'refused', says: seen.says };
	const [page = 0] = seen.pages;
	const shown = known.find((one) => one.page === page);
	const fields = readPage(
		picture,
		seen.place,
		plan.notebook,
		shown?.fields ?? [],
		shown?.marks ?? []
	);
	const view = viewOf(seen.place, plan.notebook);
	return { kind: 'read', read: { pages: seen.pages, page, fields, picture: size, view } };
}

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
