import { SvelteSet } from 'svelte/reactivity';
import { checked, notebookSchema, type Fault } from '$lib/core/formats';
import type { Notebook } from '$lib/core/paper';
import { putChange } from '../send';
import { Saver } from './saver.svelte';

/** A notebook as the server gives it. */
export interface KeptNotebook {
	readonly id: string;
	readonly revision: number;
	readonly notebook: Notebook;
}

/** A notebook while it is being changed: every consistent state is kept at once, no other. */
export class NotebookKeeper {
	notebook: Notebook;
	readonly saver: Saver<Notebook>;
	/**
	 * What is wrong with what stands in the fields; nothing is kept until it is put right. (Not a derived value: that
	 * would end with the screen on which this keeper was made.)
	 */
	faults = $state.raw<readonly Fault[]>([]);

	/** Fields in which no such number stands; what stands there is not part of the notebook yet. */
	private readonly marked = new SvelteSet<string>();

	constructor(kept: KeptNotebook) {
		this.notebook = $state.raw(kept.notebook);
		this.saver = new Saver<Notebook>(
			kept.revision,
			(revision, notebook) =>
				putChange(`/app/notebooks/${kept.id}`, revision, notebook, (sent) => ({ notebook: sent })),
			() => undefined
		);
	}

	/** Whether all that stands in the fields is right. */
	get sound(): boolean {
		return this.faults.length === 0 && this.marked.size === 0;
	}

	/** Marks a field as wrong, or takes the mark away. */
	mark(field: string, wrong: boolean): void {
		if (wrong) this.marked.add(field);
		else this.marked.delete(field);
	}

	/** Forgets the marks: the fields are gone. */
	unmark(): void {
		this.marked.clear();
	}

	change(part: Partial<Notebook>): void {
		this.notebook = { ...this.notebook, ...part };
		const result = checked(notebookSchema, this.notebook);
		this.faults = result.ok ? [] : result.faults;
		if (result.ok) this.saver.write(result.value);
	}

	/** Takes over the notebook as the server has it, unless something here is not kept yet. */
	adopt(kept: KeptNotebook): void {
		const stale = kept.revision < this.saver.baseRevision;
		if (stale || this.saver.unsaved !== undefined || !this.sound) return;
		this.notebook = kept.notebook;
		this.saver.adopt(kept.revision);
	}
}
