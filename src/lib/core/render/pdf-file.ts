/** PDF lengths are points, 72 to the inch. */
export const pointsPerMm = 72 / 25.4;

/** The finished file of a document that is ended after this call. */
export function collectPdf(document: PDFKit.PDFDocument): Promise<Uint8Array> {
	return new Promise((resolve, reject) => {
		const chunks: Buffer[] = [];
		document.on('data', (chunk: Buffer) => chunks.push(chunk));
		document.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
		document.on('error', reject);
	});
}
