import type { Dot } from '../paper';
import type { RuleStep, TintStep } from './steps';

/** The strokes or areas of a step, each from where it begins to where it ends, in order. */
export function strokesFrom({
	begin,
	end,
	repeat
}: RuleStep | TintStep): { begin: Dot; end: Dot }[] {
	return Array.from({ length: 1 + (repeat?.times ?? 0) }, (_, index) => {
		const by = index * (repeat?.every ?? 0);
		const shift = repeat?.direction === 'right' ? { x: by, y: 0 } : { x: 0, y: by };
		const moved = (dot: Dot) => ({ x: dot.x + shift.x, y: dot.y + shift.y });
		return { begin: moved(begin.at), end: moved(end.at) };
	});
}
