import type { Drawn } from '$lib/core/render/page-art';

/** A file that the server draws: its name in an archive and where it is fetched. */
export interface SheetFile {
	readonly name: string;
	readonly address: string;
}

/** What is asked of sheets, as a person chooses it. */
export interface SheetChoice {
	readonly monthId: string;
	/** "2027-05", for the files' names. */
	readonly month: string;
	readonly drawn: Drawn;
	/** One page, or undefined for all of the run. */
	readonly page: number | undefined;
	/** Id of the printer that PDFs are corrected for, or ''. */
	readonly printer: string;
	/** Resolution of pictures in dots per inch. */
	readonly dpi: number;
	readonly paper: 'a4' | 'letter';
}

/** The PDF of the chosen pages, page by page or two on a sheet. */
export function pdfFile(choice: SheetChoice, twoUp: boolean): SheetFile {
	const { monthId, month, drawn, page, printer, paper } = choice;
	const name = [month, page && `page-${page}`, suffix(drawn), twoUp && `two-on-${paper}`];
	return {
		name: `horarium-${name.filter(Boolean).join('-')}.pdf`,
		address: `/app/months/${monthId}/plan.pdf${query({
			page,
			only: only(drawn),
			sheet: twoUp ? paper : undefined,
			printer: printer || undefined
		})}`
	};
}

/** The tick strips of the chosen pages. */
export function stripsFile({ monthId, month, page, printer, paper }: SheetChoice): SheetFile {
	return {
		name: `horarium-${[month, page && `page-${page}`, 'strips'].filter(Boolean).join('-')}.pdf`,
		address: `/app/months/${monthId}/strips.pdf${query({ paper, page, printer: printer || undefined })}`
	};
}

/** One page as an SVG or a picture. */
export function pageFile(choice: SheetChoice, page: number, kind: 'svg' | 'png'): SheetFile {
	const { monthId, month, drawn, dpi } = choice;
	const name = [month, `page-${page}`, suffix(drawn)].filter(Boolean).join('-');
	return {
		name: `horarium-${name}.${kind}`,
		address: `/app/months/${monthId}/plan.${kind}${query({
			page,
			only: only(drawn),
			dpi: kind === 'png' ? dpi : undefined
		})}`
	};
}

/** Everything of the chosen pages, for one archive. */
export function allFiles(
	choice: SheetChoice,
	pages: readonly number[],
	twoUpFits: boolean
): SheetFile[] {
	return [
		pdfFile(choice, false),
		...(twoUpFits ? [pdfFile(choice, true)] : []),
		stripsFile(choice),
		...pages.map((page) => pageFile(choice, page, 'svg')),
		...pages.map((page) => pageFile(choice, page, 'png')),
		{ name: `horarium-${choice.month}.json`, address: `/app/months/${choice.monthId}/plan.json` }
	];
}

function only(drawn: Drawn): string | undefined {
	return drawn === 'everything' ? undefined : drawn;
}

function suffix(drawn: Drawn): string | undefined {
	return drawn === 'everything' ? undefined : drawn;
}

function query(parts: Readonly<Record<string, string | number | undefined>>): string {
	const given = Object.entries(parts).flatMap(([name, value]) =>
		value === undefined ? [] : [`${name}=${encodeURIComponent(value)}`]
	);
	return given.length > 0 ? `?${given.join('&')}` : '';
}
