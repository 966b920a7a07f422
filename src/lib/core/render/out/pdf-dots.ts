import type { Dot } from '../../paper';
import { dotMm, inks } from '../pages/page-art';

/**
 * The dots of pages, each grid once in the file as a form (ISO 32000-1, 8.10), however many pages show it: a month has
 * ten thousands of dots, and few grids.
 */
export class DotGrids {
	private readonly forms = new Map<string, PDFKit.PDFKitReference>();

	constructor(private readonly document: PDFKit.PDFDocument) {}

	/** Shows dots on the page that is drawn, where lengths are mm. */
	draw(dots: readonly Dot[]): void {
		if (dots.length === 0) return;
		const paths = dots.map(dotAt).join('\n');
		let form = this.forms.get(paths);
		if (!form) {
			form = this.formOf(dots, paths);
			this.forms.set(paths, form);
		}
		const name = `Dots${form.id}`;
		this.document.page.xobjects[name] = form;
		this.document.addContent(`/${name} Do`);
	}

	private formOf(dots: readonly Dot[], paths: string): PDFKit.PDFKitReference {
		const xs = dots.map(({ x }) => x);
		const ys = dots.map(({ y }) => y);
		const form = this.document.ref({
			Type: 'XObject',
			Subtype: 'Form',
			BBox: [
				Math.min(...xs) - dotMm,
				Math.min(...ys) - dotMm,
				Math.max(...xs) + dotMm,
				Math.max(...ys) + dotMm
			],
			Resources: {}
		});
		// A stroke of no length with round ends is a dot, and far smaller than a circle in the file.
		form.end(`1 J\n${dotMm} w\n${redGreenBlue(inks.dot)} RG\n${paths}\nS`);
		return form;
	}
}

const dotAt = ({ x, y }: Dot) => `${shortly(x)} ${shortly(y)} m ${shortly(x)} ${shortly(y)} l`;

/** A length as a PDF has it, to the millionth. */
const shortly = (length: number) => String(Math.round(length * 1e6) / 1e6);

function redGreenBlue(colour: string): string {
	const parts = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16) / 255);
	return parts.map((part) => part.toFixed(4)).join(' ');
}
