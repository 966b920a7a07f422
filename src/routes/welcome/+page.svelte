<script lang="ts">
	import { monthWords } from '$lib/ui/words';
	import { goto } from '$app/navigation';
	import { untrack } from 'svelte';
	import { startingSet } from '$lib/core/catalogue';
	import { checked, notebookSchema } from '$lib/core/formats';
	import { formatMonth, nextToPlan, parseMonth, type WeekStart } from '$lib/core/month';
	import type { Notebook } from '$lib/core/paper';
	import { localWeekStart } from '$lib/ui/locale';
	import { newNotebook } from '$lib/ui/notebook/new-notebook';
	import FirstMonth from '$lib/ui/notebook/FirstMonth.svelte';
	import NotebookForm from '$lib/ui/notebook/NotebookForm.svelte';
	import ImportPlan from '$lib/ui/share/ImportPlan.svelte';
	import { send, textOf, troubleOf } from '$lib/ui/send';
	import MonthField from '$lib/ui/fields/MonthField.svelte';
	import Select from '$lib/ui/fields/Select.svelte';

	let { data } = $props();

	const today = new Date();
	let month = $state(
		formatMonth(nextToPlan([], { year: today.getFullYear(), month: today.getMonth() + 1 }))
	);
	let kept = $state(untrack(() => data.notebooks[0]?.id));
	let notebook = $state.raw<Notebook>(newNotebook());
	let trouble = $state<string>();
	const wanted = $derived(parseMonth(month));
	const ready = $derived(wanted && (kept || checked(notebookSchema, notebook).ok));

	const weekStart: WeekStart = $derived(localWeekStart(data.locale));
	const book = $derived(data.notebooks.find(({ id }) => id === kept)?.notebook ?? notebook);

	async function plan() {
		trouble = undefined;
		if (!kept) {
			const made = await send('POST', '/app/notebooks', notebook);
			if (made.kind !== 'ok') {
				trouble = troubleOf(made);
				return;
			}
			kept = textOf(made.body, 'id');
		}
		const answer = await send('POST', '/app/months', {
			notebookId: kept,
			month,
			weekStart,
			aim: 'balanced',
			wishes: startingSet()
		});
		if (answer.kind === 'ok')
			await goto(`/months/${textOf(answer.body, 'id')}`, { invalidateAll: true });
		else trouble = troubleOf(answer);
	}
</script>

<svelte:head><title>Begin · Horarium</title></svelte:head>

<main
	id="main"
	class="grid w-full flex-1 grid-cols-[minmax(0,1fr)] content-start gap-x-8 gap-y-5 px-4 py-5 sm:px-5 lg:grid-cols-[minmax(22rem,28rem)_1fr]"
>
	<div class="flex flex-col gap-5">
		<div>
			<h1 class="pb-1 text-3xl">Which book, and which month?</h1>
			<p>
				Horarium counts the dots: it fits the month into your notebook, draws every page, and tells
				your hand where each line begins. The paper stays the journal.
			</p>
		</div>
		<div class="flex flex-wrap items-end gap-3">
			<MonthField label="Month to plan" value={month} onchange={(next) => (month = next)} />
			<button class="button button-main" disabled={!ready} onclick={plan}>
				Draw {wanted ? monthWords(wanted) : 'the month'}
			</button>
		</div>
		{#if trouble}<p role="alert" class="bg-caution-ground px-3 py-2">{trouble}</p>{/if}
		{#if data.notebooks.length > 0}
			<Select
				label="Notebook"
				value={kept ?? ''}
				options={data.notebooks.map(({ id, notebook }) => ({ value: id, label: notebook.name }))}
				onchange={(id) => (kept = id)}
			/>
		{:else}
			<NotebookForm {notebook} pictured={false} onchange={(next) => (notebook = next)} />
		{/if}
		<ImportPlan notebooks={data.notebooks} />
	</div>
	<section aria-label="What comes" class="min-w-0">
		<FirstMonth notebook={book} {month} {weekStart} locale={data.locale} />
	</section>
</main>
