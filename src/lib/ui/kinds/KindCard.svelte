<script lang="ts">
	import { ruledAlone, type Plan } from '$lib/core/fit';
	import type { Wish } from '$lib/core/wish';
	import FormPicture from '../page/FormPicture.svelte';
	import { seen } from './seen';

	interface Props {
		name: string;
		about: string;
		wish: Wish;
		plan: Plan;
		chosen: boolean;
		onchoose: () => void;
		onadd: () => void;
	}
	let { name, about, wish, plan, chosen, onchoose, onadd }: Props = $props();

	/** Drawn only when it comes into view: there are dozens. */
	let visible = $state(false);
	const ruled = $derived(visible ? ruledAlone(plan, wish) : undefined);
	const layout = $derived(ruled && 'marks' in ruled ? ruled : undefined);
</script>

<li
	use:seen={() => (visible = true)}
	class="flex flex-col gap-1 border p-2 {chosen ? 'border-calm bg-chosen' : 'border-transparent'}"
>
	<button
		class="flex flex-1 flex-col gap-1 text-left"
		aria-pressed={chosen}
		onclick={onchoose}
		onkeydown={(event) => {
			if (event.key === 'a' || event.key === 'A') onadd();
		}}
	>
		<span class="block h-40 w-full">
			{#if layout}
				<FormPicture {layout} hand={plan.hand} label="{name}, drawn" small />
			{:else if visible}
				<span class="text-sm text-caution">Too large for this notebook.</span>
			{/if}
		</span>
		<span class="font-serif text-lg leading-tight">{name}</span>
		<span class="text-sm text-ink-soft">{about}</span>
	</button>
	<button class="button min-h-8 self-start text-sm" aria-label="Add {name}" onclick={onadd}
		>Add</button
	>
</li>
