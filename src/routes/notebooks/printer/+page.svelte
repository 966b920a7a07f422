<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { correctionFor, leastBarMm, mostBarMm } from '$lib/core/paper';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import TextField from '$lib/ui/fields/TextField.svelte';
	import { send, troubleOf } from '$lib/ui/send';

	let { data } = $props();

	let name = $state('');
	let acrossMm = $state(100);
	let downMm = $state(100);
	let trouble = $state<string>();
	const pitch = $derived(data.pitches.at(-1) ?? 5);
	const percent = (factor: number) => `${Math.round(factor * 10_000) / 100} %`;

	async function keep(event: SubmitEvent) {
		event.preventDefault();
		const answer = await send('POST', '/app/printers', { name: name.trim(), acrossMm, downMm });
		trouble = answer.kind === 'ok' ? undefined : troubleOf(answer);
		if (answer.kind !== 'ok') return;
		name = '';
		await invalidateAll();
	}

	async function remove(id: string) {
		const answer = await send('DELETE', `/app/printers/${id}`);
		trouble = answer.kind === 'ok' ? undefined : troubleOf(answer);
		await invalidateAll();
	}
</script>

<svelte:head><title>Printer check · Horarium</title></svelte:head>

<main id="main" class="mx-auto flex w-full max-w-3xl flex-1 flex-col gap-5 px-5 py-5">
	<h1 class="text-3xl">Printer check</h1>
	<p>
		Many printers shrink a page a little, and dots then drift from those of the book. Print the
		check sheet at 100 %, measure its two bars, and all sheets are made larger by as much.
	</p>
	<ol class="flex flex-col gap-5">
		<li class="flex flex-wrap items-center gap-3 border-t border-hairline pt-4">
			<span class="font-serif text-2xl text-rubric">1</span>
			<a class="button" href="/app/printers/check.pdf?pitch={pitch}" target="_blank" rel="noopener"
				>Check sheet on A4</a
			>
			<a
				class="button"
				href="/app/printers/check.pdf?paper=letter&pitch={pitch}"
				target="_blank"
				rel="noopener">Check sheet on US Letter</a
			>
		</li>
		<li class="border-t border-hairline pt-4">
			<form class="flex flex-wrap items-end gap-4" onsubmit={keep}>
				<span class="font-serif text-2xl text-rubric">2</span>
				<TextField
					label="Name of the printer"
					value={name}
					most={100}
					onchange={(text) => (name = text)}
				/>
				<NumberField
					label="Bar across measures"
					value={acrossMm}
					least={leastBarMm}
					most={mostBarMm}
					whole={false}
					unit="mm"
					onchange={(value) => value && (acrossMm = value)}
				/>
				<NumberField
					label="Bar down measures"
					value={downMm}
					least={leastBarMm}
					most={mostBarMm}
					whole={false}
					unit="mm"
					onchange={(value) => value && (downMm = value)}
				/>
				<button class="button button-main" disabled={name.trim() === ''}>Keep this printer</button>
			</form>
			{#if trouble}<p role="alert" class="mt-3 bg-caution-ground px-3 py-2">{trouble}</p>{/if}
			<p class="pt-2 text-sm text-ink-soft">
				A bar shorter than {leastBarMm} mm means that the sheet was printed to fit the page: print it
				again at 100 %.
			</p>
		</li>
	</ol>
	{#if data.printers.length > 0}
		<h2 class="text-xl">Your printers</h2>
		<ul class="border-t border-hairline">
			{#each data.printers as printer (printer.id)}
				{@const factor = correctionFor(printer)}
				<li class="flex flex-wrap items-center gap-4 border-b border-hairline py-2">
					<span class="font-serif text-lg">{printer.name}</span>
					<span class="text-ink-soft"
						>sheets are made {percent(factor.x)} across and {percent(factor.y)} down</span
					>
					<button
						class="button button-quiet ml-auto"
						aria-label="Remove {printer.name}"
						onclick={() => remove(printer.id)}>Remove</button
					>
				</li>
			{/each}
		</ul>
	{/if}
</main>
