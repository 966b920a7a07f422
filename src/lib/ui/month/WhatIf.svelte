<script lang="ts">
	import { alternatives, type Alternative } from '$lib/core/fit';
	import type { Room } from '$lib/core/forms';
	import type { Wish } from '$lib/core/wish';
	import FormPicture from '../page/FormPicture.svelte';
	import type { MonthDesk } from './month-desk.svelte';

	let { desk, wish }: { desk: MonthDesk; wish: Wish } = $props();

	let open = $state(false);
	const found = $derived(open ? alternatives(desk.plan, wish) : []);
	const current = $derived(desk.run.blocks.find((block) => block.wish === wish.id));

	const size = (room: Room) =>
		room.span === 'page'
			? `${room.w} × ${room.h}`
			: `${room.left.w} + ${room.right.w} × ${room.left.h}`;
	const isCurrent = ({ form, layout }: Alternative) =>
		current?.form === form && size(current.room) === size(layout.room);
</script>

<details bind:open>
	<summary class="cursor-pointer underline decoration-hairline underline-offset-4"
		>Try another layout</summary
	>
	{#if open}
		<ul class="grid grid-cols-2 gap-3 pt-3">
			{#each found as other, index (index)}
				<li>
					<button
						class="flex w-full flex-col gap-1 border p-2 text-left {isCurrent(other)
							? 'border-calm bg-chosen'
							: 'border-hairline hover:border-ink'}"
						aria-pressed={isCurrent(other)}
						onclick={() => desk.edit(wish.id, other.change)}
					>
						<FormPicture layout={other.layout} hand={desk.plan.hand} label={other.name} small />
						<span class="font-serif leading-tight">{other.name}</span>
						<span class="text-sm text-ink-soft">{size(other.layout.room)} squares</span>
						<span class="text-sm text-ink-soft">{other.layout.why[0]}</span>
					</button>
				</li>
			{/each}
		</ul>
	{/if}
</details>
