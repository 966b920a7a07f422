import { presets, type Notebook } from '$lib/core/paper';

/** What a new notebook starts from: the first preset, with a hundred pages still free. */
export function newNotebook(): Notebook {
	const [preset] = presets;
	if (!preset) throw new RangeError('there is no preset');
	return { ...preset.paper, name: 'My notebook', freePages: [{ first: 12, last: 111 }] };
}
