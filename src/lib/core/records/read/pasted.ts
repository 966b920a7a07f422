import Papa from 'papaparse';

/**
 * The cells of pasted lines: parted by tabs, or else by semicolons, or else by commas where that gives every line the same
 * number of at least two cells; otherwise each line is one cell.
 */
export function pastedCells(text: string): string[][] {
	const lines = text.replace(/(\r\n|\r|\n)+$/, '');
	const parted = (delimiter: string) =>
		Papa.parse<string[]>(lines, { delimiter, quoteChar: '"' }).data;
	if (lines.includes('\t')) return parted('\t');
	if (lines.includes(';')) return parted(';');
	const byCommas = parted(',').filter((cells) => cells.join('') !== '');
	const count = byCommas[0]?.length ?? 0;
	if (count > 1 && byCommas.every(({ length }) => length === count)) return parted(',');
	return lines.split(/\r\n|\r|\n/).map((line) => [line]);
}
