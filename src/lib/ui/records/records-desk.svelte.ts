import { untrack } from 'svelte';
import { SvelteMap } from 'svelte/reactivity';
import { changesSchema, checked } from '$lib/core/formats';
import { entryKey, withChanges, type Change, type Entry } from '$lib/core/records';
import { Saver } from '../keeping/saver.svelte';
import { keep, kept } from '../making/kept-here';
import { send, troubleOf } from '../send';

/** What a window that has just been opened asks the others. */
const whatChanged = 'what changed';

/** Steps that can be taken back. */
const mostSteps = 500;

/** What is filled in of a month: every change is kept at once, and can be taken back. */
export class RecordsDesk {
	/** By `entryKey`; each cell of a page hears only of its own. */
	readonly known = new SvelteMap<string, Entry>();
	readonly saver: Saver<readonly Change[]>;
	private past = $state.raw<readonly (readonly Change[])[]>([]);
	private future = $state.raw<readonly (readonly Change[])[]>([]);
	/** What the server has not confirmed. */
	private pending: readonly Change[] = [];
	private readonly pendingKey: string;
	private channel: BroadcastChannel | undefined;

	constructor(
		private readonly monthId: string,
		entries: readonly Entry[]
	) {
		this.pendingKey = `horarium records ${monthId}`;
		for (const entry of entries) this.known.set(entryKey(entry), entry);
		this.saver = new Saver<readonly Change[]>(
			0,
			async (_, changes) => {
				const answer = await send('PUT', `/app/months/${monthId}/records`, { changes });
				if (answer.kind === 'conflict') return { kind: 'refused', message: troubleOf(answer) };
				if (answer.kind !== 'ok') return answer;
				this.confirmed(changes);
				return { kind: 'written', revision: 0 };
			},
			() => undefined
		);
	}

	/** Listens to other windows and takes up what was not kept when this one was left; returns what ends it. */
	open(): () => void {
		this.channel = new BroadcastChannel(`horarium records ${this.monthId}`);
		this.channel.onmessage = ({ data }: MessageEvent<unknown>) => {
			if (data === whatChanged) {
				// A window that was loading meanwhile has not heard of it.
				const changed = withChanges([], [...this.past, ...this.future].flat());
				this.channel?.postMessage(this.reversed(changed));
			} else if (isChanges(data)) for (const change of data) this.show(change);
		};
		this.channel.postMessage(whatChanged);
		const left = kept(this.pendingKey, isChanges);
		if (left && left.length > 0) this.put(left);
		return () => {
			this.channel?.close();
			this.channel = undefined;
		};
	}

	valueOf(wish: string, about: string): string {
		return this.known.get(entryKey({ wish, about }))?.value ?? '';
	}

	get canUndo() {
		return this.past.length > 0;
	}

	get canRedo() {
		return this.future.length > 0;
	}

	/** Makes changes as one step. */
	change(changes: readonly Change[]): void {
		if (changes.length === 0) return;
		this.past = [...this.past, this.reversed(changes)].slice(-mostSteps);
		this.future = [];
		this.put(changes);
	}

	undo(): void {
		const step = this.past.at(-1);
		if (!step) return;
		this.past = this.past.slice(0, -1);
		this.future = [...this.future, this.reversed(step)];
		this.put(step);
	}

	redo(): void {
		const step = this.future.at(-1);
		if (!step) return;
		this.future = this.future.slice(0, -1);
		this.past = [...this.past, this.reversed(step)];
		this.put(step);
	}

	/** Changes to what stands there now. */
	private reversed(changes: readonly Change[]): Change[] {
		return changes.map((change) => ({
			...change,
			value: this.valueOf(change.wish, change.about)
		}));
	}

	private show(change: Change): void {
		if (change.value === '') this.known.delete(entryKey(change));
		else this.known.set(entryKey(change), change);
	}

	private put(changes: readonly Change[]): void {
		for (const change of changes) this.show(change);
		this.wait(withChanges(this.pending, changes));
		this.saver.write(this.pending);
		this.channel?.postMessage(changes);
	}

	private confirmed(changes: readonly Change[]): void {
		this.wait(this.pending.filter((change) => !changes.includes(change)));
	}

	private wait(pending: readonly Change[]): void {
		this.pending = pending;
		keep(this.pendingKey, pending);
	}
}

/** The records of the month that a screen shows, open for as long as it does; asked while the screen is made. */
export function openedRecords(
	monthId: () => string,
	entries: () => readonly Entry[]
): () => RecordsDesk {
	const records = $derived(new RecordsDesk(monthId(), untrack(entries)));
	$effect(() => {
		const opened = records;
		return untrack(() => opened.open());
	});
	return () => records;
}

function isChanges(value: unknown): value is Change[] {
	return checked(changesSchema, { changes: value }).ok;
}
