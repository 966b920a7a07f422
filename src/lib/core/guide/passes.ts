import type { Step } from './steps';

/** What a hand does in one go on a page, in this order: a tint dries before it is ruled on, and ink before it is erased by. */
export const passes = [
	{ id: 'tint', name: 'Tint', then: 'Let the colour dry before a pen touches it.' },
	{ id: 'rule', name: 'Rule', then: 'Wait until the lines no longer smear.' },
	{ id: 'letter', name: 'Letter', then: 'Thick letters dry longest.' },
	{ id: 'write', name: 'Write', then: 'When all is dry, erase the helper ticks.' }
] as const;

export type Pass = (typeof passes)[number];

function passIdOf(step: Exclude<Step, { kind: 'tick' }>): Pass['id'] {
	switch (step.kind) {
		case 'compass':
			return 'rule';
		case 'write':
			return step.style === 'lettering' ? 'letter' : 'write';
		default:
			return step.kind;
	}
}

/** The steps of each pass that a page has, by their places in its guide; ticks go with what they help to find. */
export function passesOf(
	steps: readonly Step[]
): { readonly pass: Pass; readonly steps: number[] }[] {
	const found: { pass: Pass; steps: number[] }[] = [];
	let ticks: number[] = [];
	for (const [index, step] of steps.entries()) {
		if (step.kind === 'tick') {
			ticks.push(index);
			continue;
		}
		const pass = passes.find(({ id }) => id === passIdOf(step));
		const last = found.at(-1);
		if (last && last.pass === pass) last.steps.push(...ticks, index);
		else if (pass) found.push({ pass, steps: [...ticks, index] });
		ticks = [];
	}
	return found;
}
