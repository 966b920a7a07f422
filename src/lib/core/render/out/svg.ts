import type { Colour } from '../../theme';
import { fontType, type Face, type Faces } from '../fonts/faces';
import {
	cutDashMm,
	cutPenMm,
	dotMm,
	inkOf,
	inks,
	type ArtText,
	type PageArt
} from '../pages/page-art';
import { lineOf, setRuns } from '../fonts/set-runs';

/**
 * A page as an SVG at true size, its units mm. Texts stay texts: the fonts that they are written in are
 * embedded. With `outlined` they become outlines instead, for programs that know no embedded fonts.
 */
export function renderSvg(art: PageArt, faces: Faces, outlined = false): string {
	const { width, height, tints, dots, strokes, pen, cuts, texts, palette } = art;
	const used = new Set(
		outlined ? [] : texts.flatMap((text) => setRuns(text, faces).map(({ face }) => face))
	);
	const parts = [
		`<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
		used.size > 0 ? `<style>${[...used].map(fontRule).join('')}</style>` : '',
		...tints.map(
			({ x, y, w, h, tone }) =>
				`<rect x="${mm(x)}" y="${mm(y)}" width="${mm(w)}" height="${mm(h)}" fill="${palette.tones[tone]}"/>`
		),
		// A stroke of no length with round ends is a dot.
		path(
			dots.map(({ x, y }) => `M${mm(x)} ${mm(y)}h0`),
			`stroke="${inks.dot}" stroke-width="${dotMm}" stroke-linecap="round"`
		),
		path(
			strokes.map(
				({ points, closed }) =>
					`M${points.map(({ x, y }) => `${mm(x)} ${mm(y)}`).join('L')}${closed ? 'Z' : ''}`
			),
			`stroke="${palette.lines}" stroke-width="${pen}"`
		),
		path(
			cuts.map(({ from, to }) => `M${mm(from.x)} ${mm(from.y)}L${mm(to.x)} ${mm(to.y)}`),
			`stroke="${inks.cut}" stroke-width="${cutPenMm}" stroke-dasharray="${cutDashMm}"`
		),
		...texts.map((text) => {
			const colour = inkOf(text, palette);
			return outlined ? outlines(text, faces, colour) : writing(text, faces, colour);
		}),
		'</svg>'
	];
	return parts.filter(Boolean).join('\n');
}

function path(parts: readonly string[], look: string): string {
	return parts.length === 0 ? '' : `<path d="${parts.join('')}" fill="none" ${look}/>`;
}

function fontRule({ name, file }: Face): string {
	const data = file.toString('base64');
	return `@font-face{font-family:"${name}";src:url(data:${fontType(file)};base64,${data})}`;
}

function writing(text: ArtText, faces: Faces, colour: Colour): string {
	const { mark, x, y, size } = text;
	const turn = mark.turned ? ` transform="rotate(-90 ${mm(x)} ${mm(y)})"` : '';
	const runs = setRuns(text, faces).map(({ face, text, along, fromRight }) => {
		// What runs from the right ends at its left end, and that is what is placed.
		const direction = fromRight ? ' direction="rtl" text-anchor="end"' : '';
		return `<tspan x="${mm(x + along)}" font-family="${face.name}"${direction}>${escaped(text)}</tspan>`;
	});
	return `<text y="${mm(y)}" font-size="${mm(size)}" fill="${colour}"${turn}>${runs.join('')}</text>`;
}

function outlines(text: ArtText, faces: Faces, colour: Colour): string {
	const { mark, x, y, size } = text;
	const glyphs: string[] = [];
	for (const { face, text: words, along, fromRight } of setRuns(text, faces)) {
		const scale = size / face.font.unitsPerEm;
		const line = lineOf(face, words, fromRight);
		let at = along;
		line.glyphs.forEach((glyph, index) => {
			const place = line.positions[index];
			const [dx, dy] = [place?.xOffset ?? 0, place?.yOffset ?? 0];
			glyphs.push(
				`<path transform="translate(${mm(at + dx * scale)} ${mm(-dy * scale)}) scale(${scale} ${-scale})" d="${glyph.path.toSVG()}"/>`
			);
			at += (place?.xAdvance ?? 0) * scale;
		});
	}
	const turn = mark.turned ? ' rotate(-90)' : '';
	return `<g fill="${colour}" transform="translate(${mm(x)} ${mm(y)})${turn}">${glyphs.join('')}</g>`;
}

/** A length to a ten-thousandth of a millimetre. */
function mm(length: number): string {
	return String(Math.round(length * 10_000) / 10_000);
}

function escaped(text: string): string {
	return text.replace(/[&<>]/g, (sign) => `&#${sign.charCodeAt(0)};`);
}
