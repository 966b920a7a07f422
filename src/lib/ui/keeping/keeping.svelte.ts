import { createContext } from 'svelte';
import { SvelteMap } from 'svelte/reactivity';
import type { DeskInput, MonthDesk } from '../month/month-desk.svelte';
import { HandKeeper } from './hand-keeper.svelte';
import type { KeptNotebook, NotebookKeeper } from './notebook-keeper.svelte';
import type { Saver } from './saver.svelte';

/** Something of which not everything is kept. */
export interface Unkept {
	/** Where it stands on the server. */
	readonly path: string;
	/** Where it is changed. */
	readonly href: string;
	/** What it is called; a month as "2027-05". */
	readonly name: string;
	readonly saver: Pick<Saver<unknown>, 'state' | 'retry' | 'overwrite' | 'takeTheirs' | 'settle'>;
	/** What stands in its fields is wrong, and must be put right before it can be kept. */
	readonly faulty: boolean;
}

/**
 * All that is being changed in this window, above the screens: what waits to be kept goes on waiting, with its
 * way back, when one walks to another screen.
 */
export class Keeping {
	private readonly desks = new SvelteMap<string, MonthDesk>();
	private readonly notebooks = new SvelteMap<string, NotebookKeeper>();
	readonly hand: HandKeeper;

	constructor(changed: () => void) {
		this.hand = new HandKeeper(changed);
	}

	/** The desk of a month: the one that was here before, brought up to date, or a new one. */
	desk(input: DeskInput, make: (input: DeskInput) => MonthDesk): MonthDesk {
		return taken(this.desks, input, make);
	}

	/** The keeper of a notebook: the one that was here before, brought up to date, or a new one. */
	notebook(kept: KeptNotebook, make: (kept: KeptNotebook) => NotebookKeeper): NotebookKeeper {
		return taken(this.notebooks, kept, make);
	}

	/** Forgets a month and what waits of it. */
	forgetDesk(id: string): void {
		this.desks.get(id)?.forget();
		this.desks.delete(id);
	}

	/** Everything of which not all is kept. */
	get unkept(): readonly Unkept[] {
		const months = [...this.desks].map(([id, { month, saver }]) => ({
			path: `/app/months/${id}`,
			href: `/months/${id}`,
			name: month.month,
			saver,
			faulty: false
		}));
		const notebooks = [...this.notebooks].map(([id, { notebook, saver, sound }]) => ({
			path: `/app/notebooks/${id}`,
			href: `/notebooks/${id}`,
			name: notebook.name,
			saver,
			faulty: !sound
		}));
		const href = '/notebooks/hand';
		const hand = [
			{ path: '/app/hand', href, name: 'Your hand', saver: this.hand.hand, faulty: false },
			{
				path: '/app/language',
				href,
				name: 'The language',
				saver: this.hand.language,
				faulty: false
			}
		];
		return [...months, ...notebooks, ...hand].filter(
			({ saver, faulty }) => faulty || !saver.settled
		);
	}
}

/** Who changes something: who did before, brought up to date, or somebody new. (Who they are only screens know.) */
function taken<Input extends { readonly id: string }, Keeper extends { adopt(input: Input): void }>(
	known: Map<string, Keeper>,
	input: Input,
	make: (input: Input) => Keeper
): Keeper {
	const before = known.get(input.id);
	if (before) {
		before.adopt(input);
		return before;
	}
	const keeper = make(input);
	known.set(input.id, keeper);
	return keeper;
}

/** Puts the keeping where every screen finds it, and finds it there. */
export const [getKeeping, setKeeping] = createContext<Keeping>();
