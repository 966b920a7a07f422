import { ranked, type Form, type Layout } from '../form/form';

const cost = 15;

/** A form of lines that says when it has fewer of them than the month is likely to need, and likes such sizes less. */
export function withExpected(form: Form): Form {
	return {
		...form,
		layouts: (setting, room) => {
			const answer = form.layouts(setting, room);
			const { expected } = setting;
			if (!expected) return answer;
			const told = answer.map((layout): Layout => {
				const lines = layout.facts.capacity ?? 0;
				if (lines >= expected.lines) return layout;
				return {
					...layout,
					discomfort: Math.min(100, layout.discomfort + cost),
					why: [
						...layout.why,
						`${lines} ${lines === 1 ? 'line' : 'lines'} will hardly last the month: ${expected.lines} ${expected.why}`
					]
				};
			});
			return ranked(told);
		}
	};
}
