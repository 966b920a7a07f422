import PDFDocument from 'pdfkit';

/** PDF lengths are points, 72 to the inch. */
export const pointsPerMm = 72 / 25.4;

/** A PDF that has no page yet and no margins; the same content always gives the same bytes. */
export function openPdf(title: string): PDFKit.PDFDocument {
	return new PDFDocument({
		autoFirstPage: false,
		margin: 0,
		info: { Title: title, Creator: 'Horarium', CreationDate: new Date(0) }
	});
}

/** The finished file of a document that is ended after this call. */
export function collectPdf(document: PDFKit.PDFDocument): Promise<Uint8Array> {
	return new Promise((resolve, reject) => {
		const chunks: Buffer[] = [];
		document.on('data', (chunk: Buffer) => chunks.push(chunk));
		document.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
		document.on('error', reject);
	});
}
