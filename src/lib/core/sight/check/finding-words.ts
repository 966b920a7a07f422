import type { Dot } from '../../paper';
import type { Finding } from './check-page';
import type { Piece } from './pieces';

const dot = ({ x, y }: Dot) => `(${x}, ${y})`;
const line = ({ from, to }: Piece) => `the line from ${dot(from)} to ${dot(to)}`;
const squares = (count: number) => (count === 1 ? 'one square' : `${count} squares`);

/** “one square to the right and 2 squares down” */
function away({ x, y }: Dot): string {
	const ways = [
		x === 0 ? [] : [`${squares(Math.abs(x))} to the ${x > 0 ? 'right' : 'left'}`],
		y === 0 ? [] : [`${squares(Math.abs(y))} too ${y > 0 ? 'low' : 'high'}`]
	];
	return ways.flat().join(' and ');
}

/** What is found on a page, and how it is mended; dots as the guide numbers them. */
export function findingWords(finding: Finding): string {
	switch (finding.kind) {
		case 'moved': {
			const { x, y, w, h } = finding.rect;
			return `What should lie between ${dot({ x, y })} and ${dot({ x: x + w, y: y + h })} stands ${away(finding.by)}.`;
		}
		case 'off':
			return `${capital(line(finding.piece))} stands ${away(finding.by)}: draw it anew.`;
		case 'missing':
			return `${capital(line(finding.piece))} is missing.`;
		case 'extra':
			return `${capital(line(finding.piece))} is none of the plan’s.`;
	}
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
