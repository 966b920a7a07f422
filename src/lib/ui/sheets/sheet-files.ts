import type { Drawn } from '$lib/core/render/pages/page-art';

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
	/** The pages in words such as “64–67, 70”, or '' for all of the run. */
	readonly pages: string;
	/** Id of the printer that PDFs are corrected for, or ''. */
	readonly printer: string;
	/** Resolution of pictures in dots per inch. */
	readonly dpi: number;
	readonly paper: 'a4' | 'letter';
}

/** How pages lie on the sheets of a PDF: one by one, a spread a sheet, or leaves with their backs behind them. */
export type Laid = 'single' | 'spreads' | 'leaves';

const laidNames = { single: '', spreads: 'two-on-', leaves: 'leaves-on-' };

/** The PDF of the chosen pages. */
export function pdfFile(choice: SheetChoice, laid: Laid): SheetFile {
	const { monthId, month, drawn, pages, printer, paper } = choice;
	const onSheet = laid !== 'single' && laidNames[laid] + paper;
	const name = [month, pageName(pages), suffix(drawn), onSheet];
	return {
		name: `horarium-${name.filter(Boolean).join('-')}.pdf`,
		address: `/app/months/${monthId}/plan.pdf${query({
			page: pages || undefined,
			only: only(drawn),
			sheet: laid === 'single' ? undefined : paper,
			order: laid === 'leaves' ? laid : undefined,
			printer: printer || undefined
		})}`
	};
}

/** The tick strips of the chosen pages. */
export function stripsFile({ monthId, month, pages, printer, paper }: SheetChoice): SheetFile {
	const asked = { paper, page: pages || undefined, printer: printer || undefined };
	return {
		name: `horarium-${[month, pageName(pages), 'strips'].filter(Boolean).join('-')}.pdf`,
		address: `/app/months/${monthId}/strips.pdf${query(asked)}`
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
		pdfFile(choice, 'single'),
		...(twoUpFits ? [pdfFile(choice, 'spreads')] : []),
		stripsFile(choice),
		...pages.map((page) => pageFile(choice, page, 'svg')),
		...pages.map((page) => pageFile(choice, page, 'png')),
		{ name: `horarium-${choice.month}.json`, address: `/app/months/${choice.monthId}/plan.json` }
	];
}

/** Pages as they stand in a file’s name: “page-64-67+70”. */
export function pageName(pages: string): string | undefined {
	return pages && `page-${pages.replaceAll('–', '-').replaceAll(', ', '+')}`;
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
