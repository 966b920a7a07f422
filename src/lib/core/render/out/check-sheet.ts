import { barMm } from '../../paper';
import { collectPdf, openPdf, pointsPerMm } from './pdf-file';
import { sheetsMm, type SheetName } from '../pages/sheets';

const left = 40;
const top = 60;
const gridSquares = 8;

/**
 * A sheet that shows how true a printer prints: a bar of 100 mm across and one down, and the first dots
 * of the notebook's grid to lay on its page.
 */
export async function renderCheckSheet(
	sheet: SheetName,
	pitchMm: number,
	font: Uint8Array
): Promise<Uint8Array> {
	const { width, height } = sheetsMm[sheet];
	const document = openPdf('Printer check').addPage({
		size: [width * pointsPerMm, height * pointsPerMm],
		margin: 0
	});
	const finished = collectPdf(document);
	document.scale(pointsPerMm);
	document.registerFont('text', Buffer.from(font)).font('text', 4);
	document
		.text('Print this sheet at 100 %, not “fit to page”. Then measure both bars.', left, 30)
		.text(`across: ${barMm} mm in the file`, left, top - 9)
		.text(`down: ${barMm} mm`, left + 4, top + 10 + barMm / 2)
		.text(`Lay these dots on the corner of your page: ${pitchMm} mm apart.`, left + 40, top + 26);
	document.lineWidth(0.2);
	document.moveTo(left, top).lineTo(left + barMm, top);
	document.moveTo(left, top + 10).lineTo(left, top + 10 + barMm);
	for (const x of [left, left + barMm]) document.moveTo(x, top - 2).lineTo(x, top + 2);
	for (const y of [top + 10, top + 10 + barMm]) document.moveTo(left - 2, y).lineTo(left + 2, y);
	document.stroke();
	document.lineCap('round').lineWidth(0.5);
	for (let y = 0; y <= gridSquares; y++)
		for (let x = 0; x <= gridSquares; x++) {
			const [px, py] = [left + 40 + x * pitchMm, top + 36 + y * pitchMm];
			document.moveTo(px, py).lineTo(px, py);
		}
	document.stroke();
	document.end();
	return finished;
}
