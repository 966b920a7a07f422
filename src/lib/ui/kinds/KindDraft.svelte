<script lang="ts">
	import { kindById } from '$lib/core/catalogue';
	import { ruledAlone, type Plan } from '$lib/core/fit';
	import { formById } from '$lib/core/forms';
	import { withRule, type Wish } from '$lib/core/wish';
	import FormChoice from '../month/FormChoice.svelte';
	import KeepKind from '../month/KeepKind.svelte';
	import ContentFields from '../month/ContentFields.svelte';
	import RuleFields from '../month/RuleFields.svelte';
	import FormPicture from '../page/FormPicture.svelte';

	interface Props {
		wish: Wish;
		plan: Plan;
		name: string;
		onchange: (wish: Wish) => void;
		onadd: () => void;
		/** The draft is kept as a kind of one's own. */
		onkept: () => Promise<void>;
	}
	let { wish, plan, name, onchange, onadd, onkept }: Props = $props();

	const kind = $derived(kindById(wish.kind));
	const form = $derived(formById(wish.form ?? kind?.forms[0] ?? ''));
	const ruled = $derived(ruledAlone(plan, wish));
	const layout = $derived(ruled && 'marks' in ruled ? ruled : undefined);
</script>

<div class="flex flex-col gap-3">
	<h2 class="text-2xl">{name}</h2>
	{#if layout}
		<FormPicture {layout} hand={plan.hand} label="{name} with these settings" />
		{#each layout.why as sum, index (index)}<p class="text-sm text-ink-soft">{sum}</p>{/each}
	{:else}
		<p class="border-l-4 border-caution bg-caution-ground px-3 py-2" role="status">
			{ruled && 'reason' in ruled ? ruled.reason : 'It cannot be ruled'}.
		</p>
	{/if}
	<button class="button button-main self-start" onclick={onadd}>Add to the month</button>
	<FormChoice {wish} {form} onchange={(fields) => onchange({ ...wish, ...fields })} />
	{#if form}
		<ContentFields
			content={wish}
			{form}
			rules={wish.rules?.[form.id] ?? {}}
			{plan}
			name="draft {wish.kind}"
			onchange={(content) => onchange({ ...wish, ...content })}
		/>
		<RuleFields
			{form}
			rules={wish.rules?.[form.id] ?? {}}
			facts={layout?.facts}
			onchange={(name, value) =>
				onchange({ ...wish, rules: withRule(wish.rules, form.id, name, value) })}
		/>
	{/if}
	<KeepKind {wish} onkeep={onkept} />
</div>
