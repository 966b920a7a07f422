import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** A stroke as it stands in the file, in mm from the page's left and top edge. */
export interface Stroke {
	readonly x1: number;
	readonly y1: number;
	readonly x2: number;
	readonly y2: number;
}

export interface PdfPage {
	readonly widthMm: number;
	readonly heightMm: number;
	readonly strokes: readonly Stroke[];
	/** Places of dots: strokes of no length. */
	readonly dots: readonly { readonly x: number; readonly y: number }[];
	readonly text: string;
}

const mmPerPoint = 25.4 / 72;
type Matrix = readonly [number, number, number, number, number, number];

/** Reads a PDF back with pdf.js: sizes, stroked paths, text and embedded fonts. */
export async function readPdf(bytes: Uint8Array): Promise<{ pages: PdfPage[]; fonts: string[] }> {
	const document = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
	const pages: PdfPage[] = [];
	for (let number = 1; number <= document.numPages; number++) {
		const page = await document.getPage(number);
		const [, , width = 0, height = 0] = page.view;
		const { fnArray, argsArray } = await page.getOperatorList();
		const read = paths(fnArray, argsArray, height);
		const content = await page.getTextContent();
		pages.push({
			widthMm: width * mmPerPoint,
			heightMm: height * mmPerPoint,
			...read,
			text: content.items.map((item) => ('str' in item ? item.str : '')).join(' ')
		});
	}
	const source = Buffer.from(bytes).toString('latin1');
	const fonts = [...source.matchAll(/\/FontFile[23]? \d+ \d+ R/g)].map(([found]) => found);
	await document.destroy();
	return { pages, fonts };
}

function paths(operators: readonly number[], argumentLists: readonly unknown[], height: number) {
	const strokes: Stroke[] = [];
	const dots: { x: number; y: number }[] = [];
	let matrix: Matrix = [1, 0, 0, 1, 0, 0];
	const stack: Matrix[] = [];
	operators.forEach((operator, index) => {
		const args = argumentLists[index];
		if (operator === OPS.save || operator === OPS.paintFormXObjectBegin) stack.push(matrix);
		else if (operator === OPS.restore || operator === OPS.paintFormXObjectEnd)
			matrix = stack.pop() ?? matrix;
		else if (operator === OPS.transform && Array.isArray(args))
			matrix = times(matrix, numbers(args));
		else if (operator === OPS.constructPath && Array.isArray(args) && args[0] === OPS.stroke)
			for (const stroke of subpaths(numbers(args[1][0]), matrix, height))
				if (stroke.x1 === stroke.x2 && stroke.y1 === stroke.y2)
					dots.push({ x: stroke.x1, y: stroke.y1 });
				else strokes.push(stroke);
	});
	return { strokes, dots };
}

/** pdf.js packs a path as numbers: 0 x y moves, 1 x y draws a line, 4 closes. */
function subpaths(data: readonly number[], matrix: Matrix, height: number): Stroke[] {
	const found: Stroke[] = [];
	let at = { x: 0, y: 0 };
	let start = at;
	for (let index = 0; index < data.length;) {
		const operator = data[index];
		if (operator === 4) {
			found.push({ x1: at.x, y1: at.y, x2: start.x, y2: start.y });
			index += 1;
			continue;
		}
		if (operator !== 0 && operator !== 1) throw new Error(`unread path operator ${operator}`);
		const next = place(matrix, data[index + 1] ?? 0, data[index + 2] ?? 0, height);
		if (operator === 0) start = next;
		else found.push({ x1: at.x, y1: at.y, x2: next.x, y2: next.y });
		at = next;
		index += 3;
	}
	return found;
}

function place([a, b, c, d, e, f]: Matrix, x: number, y: number, height: number) {
	return { x: (a * x + c * y + e) * mmPerPoint, y: (height - (b * x + d * y + f)) * mmPerPoint };
}

function times(m: Matrix, n: readonly number[]): Matrix {
	const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = n;
	return [
		m[0] * a + m[2] * b,
		m[1] * a + m[3] * b,
		m[0] * c + m[2] * d,
		m[1] * c + m[3] * d,
		m[0] * e + m[2] * f + m[4],
		m[1] * e + m[3] * f + m[5]
	];
}

function numbers(list: ArrayLike<unknown>): number[] {
	return Array.from(list, Number);
}
