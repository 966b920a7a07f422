<script lang="ts">
	import { kindById } from '$lib/core/catalogue';
	import { largestPage, settingOf, type Plan } from '$lib/core/fit';
	import { formById, type Wish } from '$lib/core/forms';
	import TextField from '../fields/TextField.svelte';
	import FormChoice from '../month/FormChoice.svelte';
	import WishFields from '../month/WishFields.svelte';
	import FormPicture from '../page/FormPicture.svelte';

	interface Props {
		wish: Wish;
		plan: Plan;
		name: string;
		onchange: (wish: Wish) => void;
		onadd: () => void;
		/** Keeps the draft as a kind of one's own. */
		onkeep: (name: string) => void;
	}
	let { wish, plan, name, onchange, onadd, onkeep }: Props = $props();

	let ownName = $state('');
	const kind = $derived(kindById(wish.kind));
	const form = $derived(formById(wish.form ?? kind?.forms[0] ?? ''));
	const answer = $derived.by(() => {
		if (!form) return undefined;
		const page = largestPage(plan);
		const span = wish.span && form.spans.includes(wish.span) ? wish.span : form.spans[0];
		return form.layouts(
			settingOf(plan, wish),
			span === 'spread'
				? { span, left: page, right: page, gutter: plan.notebook.gutter }
				: { span: 'page', ...page }
		);
	});
</script>

<div class="flex flex-col gap-3">
	<h2 class="text-2xl">{name}</h2>
	{#if answer?.fits}
		<FormPicture layout={answer.layouts[0]} hand={plan.hand} label="{name} with these settings" />
		{#each answer.layouts[0].why as sum, index (index)}<p class="text-sm text-ink-soft">
				{sum}
			</p>{/each}
	{:else if answer}
		<p class="border-l-4 border-caution bg-caution-ground px-3 py-2" role="status">
			{answer.misfit.reason}.
		</p>
	{/if}
	<button class="button button-main self-start" onclick={onadd}>Add to the month</button>
	<FormChoice {wish} {form} onchange={(fields) => onchange({ ...wish, ...fields })} />
	{#if form}
		<WishFields
			{wish}
			{form}
			facts={answer?.fits ? answer.layouts[0].facts : undefined}
			{plan}
			name="draft {wish.kind}"
			onchange={(fields) => onchange({ ...wish, ...fields })}
		/>
	{/if}
	<form
		class="flex items-end gap-2 border-t border-hairline pt-3"
		onsubmit={(event) => {
			event.preventDefault();
			onkeep(ownName.trim());
			ownName = '';
		}}
	>
		<TextField
			label="Keep it as a kind of your own"
			value={ownName}
			placeholder="its name"
			most={100}
			onchange={(text) => (ownName = text)}
		/>
		<button class="button" disabled={ownName.trim() === ''}>Keep</button>
	</form>
</div>
