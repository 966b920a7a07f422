import type { Plan, Run } from '$lib/core/fit';
import { formatMonth } from '$lib/core/month';
import type { Page } from '$lib/core/paper';
import { pageArt, type Drawn } from '$lib/core/render/pages/page-art';
import { noSuchPage } from '$lib/core/render/pages/page-list';
import { renderPng, resolutions } from '$lib/core/render/out/png';
import { renderSvg } from '$lib/core/render/out/svg';
import { faces, type FontFile } from './fonts';
import { faulty } from './problem';

/** What a query asks of one page, checked. */
interface Asked {
	readonly page: Page;
	readonly drawn: Drawn;
}

/** The page of `?page=` as an SVG in mm; `?only=lines` or `stencil` leaves out the rest. */
export function svgResponse(
	plan: Plan,
	run: Run,
	query: URLSearchParams,
	fonts: readonly FontFile[]
): Response {
	const asked = askedOf(run, query);
	if (asked instanceof Response) return asked;
	const art = pageArt(plan, run, asked.page, asked.drawn);
	return drawing(renderSvg(art, faces(fonts)), 'image/svg+xml', nameOf(plan, asked.page, 'svg'));
}

/** The page of `?page=` as a PNG of `?dpi=` dots per inch, 300 by default. */
export async function pngResponse(
	plan: Plan,
	run: Run,
	query: URLSearchParams,
	fonts: readonly FontFile[]
): Promise<Response> {
	const asked = askedOf(run, query);
	if (asked instanceof Response) return asked;
	const dpi = Number(query.get('dpi') ?? 300);
	const { least, most } = resolutions;
	if (!Number.isInteger(dpi) || dpi < least || dpi > most) {
		const message = `must be a whole number from ${least} to ${most}; it is “${query.get('dpi')}”`;
		return faulty([{ path: 'dpi', message }]);
	}
	const png = await renderPng(pageArt(plan, run, asked.page, asked.drawn), faces(fonts), dpi);
	return drawing(new Uint8Array(png), 'image/png', nameOf(plan, asked.page, 'png'));
}

function askedOf(run: Run, query: URLSearchParams): Asked | Response {
	const drawn = drawnOf(query);
	if (drawn === undefined) return onlyFault(query);
	const number = query.get('page') ?? String(run.pages[0]?.number ?? '');
	const page = run.pages.find((page) => String(page.number) === number);
	return page
		? { page, drawn }
		: faulty([{ path: 'page', message: noSuchPage(run.pages, number) }]);
}

/** What `?only=` asks to be drawn; undefined when it asks for nothing known. */
export function drawnOf(query: URLSearchParams): Drawn | undefined {
	const only = query.get('only');
	if (only === null) return 'everything';
	return only === 'lines' || only === 'stencil' ? only : undefined;
}

/** The answer to an `?only=` that is not known. */
export function onlyFault(query: URLSearchParams): Response {
	return faulty([
		{ path: 'only', message: `must be lines or stencil; it is “${query.get('only')}”` }
	]);
}

function nameOf(plan: Plan, page: Page, kind: string): string {
	return `horarium-${formatMonth(plan.month)}-page-${page.number}.${kind}`;
}

/** A drawing that a browser shows, and saves under a name. */
export function drawing(content: BlobPart, type: string, name: string): Response {
	return new Response(new Blob([content]), {
		headers: {
			'content-type': type,
			'content-disposition': `inline; filename="${name}"`,
			'cache-control': 'no-store',
			// A drawing opened by itself runs nothing and loads nothing.
			'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; font-src data:"
		}
	});
}
