<script lang="ts">
	import type { Wish } from '$lib/core/wish';
	import TextField from '../fields/TextField.svelte';
	import { send, troubleOf } from '../send';

	/** Keeps a wish, as it is written and ruled here, as a kind of one's own. */
	let { wish, onkeep }: { wish: Wish; onkeep: () => Promise<void> } = $props();

	let name = $state('');
	let told = $state<string>();

	async function keep(event: SubmitEvent) {
		event.preventDefault();
		const kept = name.trim();
		const like: Wish = { ...wish, pin: undefined, facing: undefined };
		const answer = await send('POST', '/app/kinds', { name: kept, wish: like });
		told = answer.kind === 'ok' ? `“${kept}” is kept among your kinds.` : troubleOf(answer);
		if (answer.kind !== 'ok') return;
		name = '';
		await onkeep();
	}
</script>

<details>
	<summary class="cursor-pointer underline decoration-hairline underline-offset-4"
		>Save as your own kind</summary
	>
	<form class="flex items-end gap-2 pt-2" onsubmit={keep}>
		<TextField
			label="Called"
			value={name}
			placeholder="its name"
			most={100}
			onchange={(text) => (name = text)}
		/>
		<button class="button" disabled={name.trim() === ''}>Keep</button>
	</form>
	{#if told}<p role="status" class="pt-1 text-sm">{told}</p>{/if}
</details>
