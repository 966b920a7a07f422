import { untrack } from 'svelte';
import { SvelteMap } from 'svelte/reactivity';
import { checked, changesSchema } from '$lib/core/formats';
import {
	conflictsIn,
	entryKey,
	queuedOver,
	sentOf,
	withChanges,
	type Change,
	type Entry,
	type Queued,
	type Undecided
} from '$lib/core/records';
import { Saver, type Sent } from '../keeping/saver.svelte';
import { send, type Answer } from '../send';
import { isQueued, momentNow, RecordsQueue } from './records-queue';

/** What a window that has just been opened asks the others. */
const whatChanged = 'what changed';

/** What waits longer than this is of a window that is gone, or that reaches nobody. */
const strayMs = 10_000;

/** Steps that can be taken back. */
const mostSteps = 500;

/** What is filled in of a month: every change is kept at once, and can be taken back. */
export class RecordsDesk {
	/** By `entryKey`; each cell of a page hears only of its own. */
	readonly known = new SvelteMap<string, Entry>();
	readonly saver: Saver<readonly Queued[]>;
	/** What somebody must decide on, by `entryKey`. */
	readonly undecided = new SvelteMap<string, Undecided>();
	private past = $state.raw<readonly (readonly Change[])[]>([]);
	private future = $state.raw<readonly (readonly Change[])[]>([]);
	/** What the server has not confirmed, by `entryKey`. */
	private readonly waiting = new SvelteMap<string, Queued>();
	private readonly queue: RecordsQueue;
	private channel: BroadcastChannel | undefined;

	constructor(
		private readonly monthId: string,
		entries: readonly Entry[]
	) {
		this.queue = new RecordsQueue(monthId);
		for (const entry of entries) this.known.set(entryKey(entry), entry);
		this.saver = new Saver<readonly Queued[]>(
			0,
			(_, sent) => this.send(sent),
			() => this.takeUp(strayMs)
		);
	}

	/** Listens to other windows and takes up what was not kept when one was left; returns what ends it. */
	open(): () => void {
		this.channel = new BroadcastChannel(`horarium records ${this.monthId}`);
		this.channel.onmessage = ({ data }: MessageEvent<unknown>) => {
			if (data === whatChanged) {
				// A window that was loading meanwhile has not heard of it.
				const changed = withChanges([], [...this.past, ...this.future].flat());
				this.channel?.postMessage(this.reversed(changed));
			} else if (isChanges(data)) for (const change of data) this.show(change);
			else if (isQueue(data)) for (const queued of data) this.heard(queued);
		};
		this.channel.postMessage(whatChanged);
		this.takeUp();
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
		const at = momentNow();
		const made = changes.map((change) => {
			const key = entryKey(change);
			const shown = this.valueOf(change.wish, change.about);
			const before = this.waiting.get(key);
			const queued = queuedOver(newId(), at, change, shown, before);
			this.queue.add(queued);
			if (before) this.queue.remove(before);
			this.waiting.set(key, queued);
			this.show(change);
			return queued;
		});
		this.saver.write([...this.waiting.values()]);
		this.channel?.postMessage(made);
	}

	/** Another window changes something: what waits here of it is part of that. */
	private heard(queued: Queued): void {
		const key = entryKey(queued.change);
		this.show(queued.change);
		const mine = this.waiting.get(key);
		if (mine) this.waiting.set(key, { ...queued, was: [...mine.was, ...queued.was] });
	}

	/** Takes up what has waited in this browser for some time, of windows that are gone as well. */
	private takeUp(forMs = 0): void {
		const left = this.queue.all().filter((queued) => {
			const { id, at, change } = queued;
			const key = entryKey(change);
			if (Date.now() - Date.parse(at) < forMs) return false;
			return this.waiting.get(key)?.id !== id && this.undecided.get(key)?.queued.id !== id;
		});
		if (left.length === 0) return;
		for (const queued of left) {
			const key = entryKey(queued.change);
			const before = this.waiting.get(key);
			this.waiting.set(
				key,
				before ? { ...queued, was: [...before.was, before.change.value, ...queued.was] } : queued
			);
			this.show(queued.change);
		}
		this.saver.write([...this.waiting.values()]);
	}

	/** One that cannot be kept must not hold up the others, so they are sent one by one where the server refuses. */
	private async send(queue: readonly Queued[]): Promise<Sent<readonly Queued[]>> {
		const answer = await this.ask(queue);
		if (answer.kind === 'ok') return this.confirmed(queue, answer.body);
		if (answer.kind === 'unreached' || answer.kind === 'troubled') return answer;
		for (const queued of queue) {
			const one = await this.ask([queued]);
			if (one.kind === 'ok') this.confirmed([queued], one.body);
			else if (one.kind === 'refused')
				this.decide([{ kind: 'refused', queued, says: one.message }]);
			else if (one.kind !== 'conflict') return one;
		}
		return { kind: 'written', revision: 0 };
	}

	private ask(queue: readonly Queued[]): Promise<Answer> {
		return send('PUT', `/app/months/${this.monthId}/records`, { changes: sentOf(queue) });
	}

	private confirmed(queue: readonly Queued[], body: unknown): Sent<readonly Queued[]> {
		const conflicts = conflictsIn(queue, standingIn(body));
		for (const queued of queue) {
			if (conflicts.some((one) => one.queued === queued)) continue;
			this.queue.remove(queued);
			this.settle(queued);
		}
		this.decide(conflicts);
		return { kind: 'written', revision: 0 };
	}

	private settle({ id, change }: Queued): void {
		if (this.waiting.get(entryKey(change))?.id === id) this.waiting.delete(entryKey(change));
	}

	/** Leaves what cannot be kept by itself to a person; in the browser it waits on. */
	private decide(found: readonly Undecided[]): void {
		for (const one of found) {
			const { change } = one.queued;
			this.settle(one.queued);
			this.undecided.set(entryKey(change), one);
			if (one.kind === 'conflict') this.show({ ...change, value: one.now });
		}
	}

	/** Writes what was undecided over what stands there now. */
	takeMine({ queued }: Undecided): void {
		this.forget(queued);
		this.change([queued.change]);
	}

	/** Lets go of what was undecided: what stands there now holds. */
	takeTheirs({ queued }: Undecided): void {
		this.forget(queued);
	}

	private forget(queued: Queued): void {
		this.queue.remove(queued);
		this.undecided.delete(entryKey(queued.change));
	}
}

/** An id that nothing else has; browsers give one only over a connection that they hold for safe. */
function newId(): string {
	return [...crypto.getRandomValues(new Uint8Array(16))]
		.map((byte) => byte.toString(16).padStart(2, '0'))
		.join('');
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

function isQueue(value: unknown): value is Queued[] {
	return Array.isArray(value) && value.every(isQueued);
}

/** What an answer says stands where something was not written. */
function standingIn(body: unknown): readonly Entry[] {
	const standing =
		typeof body === 'object' && body !== null && 'standing' in body ? body.standing : [];
	return isChanges(standing) ? standing : [];
}
