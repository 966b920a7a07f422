import { ranked, type Form, type Layout } from '../form/form';

const cost = 20;

/**
 * A form whose dates stand in a square each, for a hand that writes fewer than two figures to the square:
 * where a cell is a single square such a hand must write smaller, which costs comfort and is said.
 */
export function withFigures(form: Form): Form {
	return {
		...form,
		layouts: (setting, room) => {
			const answer = form.layouts(setting, room);
			const wide = Math.ceil(2 / setting.hand.figuresPerSquare);
			if (wide <= 1) return answer;
			const told = answer.map((layout): Layout => {
				const narrow = (layout.facts.cell?.w ?? 1) < wide;
				if (!narrow) return layout;
				return {
					...layout,
					discomfort: Math.min(100, layout.discomfort + cost),
					why: [
						...layout.why,
						`two figures take ${wide} squares in your hand: write the dates smaller`
					]
				};
			});
			return ranked(told);
		}
	};
}
