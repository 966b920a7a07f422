<script lang="ts">
	import { untrack } from 'svelte';
	import type { Yearly } from '$lib/core/next';
	import LinesField from '../fields/LinesField.svelte';
	import { Saver } from '../keeping/saver.svelte';
	import { send, troubleOf } from '../send';
	import { yearlyLines } from './yearly-lines';

	/** Birthdays and the like: each new month begins with those that fall into it. */
	let { yearly }: { yearly: readonly Yearly[] } = $props();

	let own = $state.raw(untrack(() => yearly));
	const saver = new Saver<readonly Yearly[]>(
		0,
		async (_, all) => {
			const answer = await send('PUT', '/app/yearly', { yearly: all });
			if (answer.kind === 'ok') return { kind: 'written', revision: 0 };
			if (answer.kind === 'conflict') return { kind: 'refused', message: troubleOf(answer) };
			return answer;
		},
		() => undefined
	);
</script>

<section aria-labelledby="yearly" class="pt-8">
	<h2 id="yearly" class="pb-1 text-xl">Every year</h2>
	<p class="pb-2 text-ink-soft">
		A new month starts with the ones that fall in it, as calendar events.
	</p>
	<LinesField
		label="One per line, such as “24 December Grandmother’s birthday”"
		name="yearly"
		value={own}
		format={yearlyLines}
		most={500}
		onchange={(all) => {
			own = all;
			saver.write(all);
		}}
	/>
	<p class="text-sm text-ink-soft" role="status">
		{saver.state.kind === 'failed' ? saver.state.message : ''}
	</p>
</section>
