import { line, type Mark } from '../draw';
import type { Step } from './steps';
import { strokesFrom } from './strokes-from';

/** What stands on a page once some of its steps are done, out of all that is drawn on it. */
export function inkOf(steps: readonly Step[], marks: readonly Mark[]): Mark[] {
	return steps.flatMap((step): Mark[] => {
		switch (step.kind) {
			case 'tick':
				return [];
			case 'rule':
				return strokesFrom(step).map(({ begin, end }) => line(begin.x, begin.y, end.x, end.y));
			case 'tint':
				return strokesFrom(step).map(({ begin, end }) => ({
					kind: 'tint',
					tone: step.tone,
					x: begin.x,
					y: begin.y,
					w: end.x - begin.x,
					h: end.y - begin.y
				}));
			case 'compass':
				return marks.filter(
					(mark) => mark.kind === 'arc' && mark.x === step.begin.at.x && mark.y === step.begin.at.y
				);
			case 'write':
				return marks.filter(
					(mark) =>
						mark.kind === 'text' &&
						step.texts.some(
							({ text, at }) =>
								text === mark.text && at.x === Math.floor(mark.x) && at.y === Math.floor(mark.y)
						)
				);
		}
	});
}
