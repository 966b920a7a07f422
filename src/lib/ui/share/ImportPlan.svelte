<script lang="ts">
	import { monthWords } from '$lib/ui/words';
	import { goto } from '$app/navigation';
	import type { PlanDocument } from '$lib/core/formats';
	import { parseMonth } from '$lib/core/month';
	import type { Notebook } from '$lib/core/paper';
	import { send, textOf, troubleOf } from '$lib/ui/send';
	import Select from '../fields/Select.svelte';
	import Check from '../fields/Check.svelte';

	interface Props {
		notebooks: readonly { readonly id: string; readonly notebook: Notebook }[];
	}
	let { notebooks }: Props = $props();
	const id = $props.id();

	const mostBytes = 8 * 1024 * 1024;
	let plan = $state.raw<PlanDocument>();
	let reasons = $state.raw<readonly string[]>([]);
	let over = $state(false);
	/** Where the month goes: a notebook that is kept, or none for the one that comes with it. */
	let into = $state('');
	let withHand = $state(true);
	let trouble = $state<string>();

	const month = $derived(plan && parseMonth(plan.month));

	async function take(file: File | undefined) {
		if (!file) return;
		plan = undefined;
		trouble = undefined;
		if (file.size > mostBytes) {
			reasons = ['This file is larger than 8 MB: it is no plan.'];
			return;
		}
		// What checks a plan is large, and few people open a file.
		const { readPlanFile } = await import('$lib/core/formats');
		const read = readPlanFile(await file.text());
		reasons = read.ok ? [] : read.reasons;
		if (!read.ok) return;
		plan = read.document;
		withHand = notebooks.length === 0;
		into = '';
	}

	async function keep() {
		if (!plan) return;
		trouble = undefined;
		const content = { document: plan, notebookId: into || undefined, withHand };
		const answer = await send('POST', '/app/import', content);
		if (answer.kind === 'ok')
			await goto(`/months/${textOf(answer.body, 'id')}`, { invalidateAll: true });
		else trouble = troubleOf(answer);
	}

	function dropped(event: DragEvent) {
		event.preventDefault();
		over = false;
		void take(event.dataTransfer?.files[0]);
	}
</script>

<svelte:window
	ondragover={(event) => {
		event.preventDefault();
		over = true;
	}}
	ondragleave={(event) => {
		if (!event.relatedTarget) over = false;
	}}
	ondrop={dropped}
/>

<section
	aria-labelledby="{id}-name"
	class="border border-dashed p-3 {over ? 'border-calm bg-chosen' : 'border-ink-soft'}"
>
	<h2 id="{id}-name" class="pb-1 text-xl">Open a plan from a file</h2>
	<label for={id} class="block text-sm text-ink-soft"
		>A file that was saved from Horarium (.json); or drop it anywhere on this window</label
	>
	<input
		{id}
		type="file"
		accept=".json,application/json"
		class="mt-1 max-w-full"
		onchange={(event) => void take(event.currentTarget.files?.[0])}
	/>
	{#if reasons.length > 0}
		<div role="alert" class="mt-3 bg-caution-ground px-3 py-2">
			<p>Nothing was imported from this file:</p>
			<ul class="list-disc pl-5">
				{#each reasons as reason, index (index)}<li>{reason}</li>{/each}
			</ul>
		</div>
	{/if}
	{#if plan && month}
		<div class="mt-3 flex flex-col gap-3 border-t border-hairline pt-3">
			<p>
				<strong>{monthWords(month)}</strong>, {plan.wishes.length}
				{plan.wishes.length === 1 ? 'wish' : 'wishes'}, planned for “{plan.notebook.name}” with {plan
					.notebook.columns} × {plan.notebook.rows} squares.
			</p>
			<Select
				label="Put it into"
				value={into}
				options={[
					{ value: '', label: 'its own notebook, which is added' },
					...notebooks.map(({ id, notebook }) => ({ value: id, label: notebook.name }))
				]}
				onchange={(id) => (into = id)}
			/>
			<Check
				label="Use the handwriting it was planned with from now on"
				checked={withHand}
				onchange={(on) => (withHand = on)}
			/>
			<div class="flex gap-3">
				<button class="button button-main" onclick={keep}>Take it</button>
				<button class="button" onclick={() => (plan = undefined)}>Cancel</button>
			</div>
		</div>
	{/if}
	{#if trouble}<p role="alert" class="mt-3 bg-caution-ground px-3 py-2">{trouble}</p>{/if}
</section>
