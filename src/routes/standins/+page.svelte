<script lang="ts">
	import { enhance } from '$app/forms';

	let { data } = $props();
	const troubles = $derived([
		{ name: 'away', label: 'Out of reach', on: data.behaviour.away },
		{ name: 'slow', label: 'Slow: three seconds an answer', on: data.behaviour.slow },
		{ name: 'gaps', label: 'The band lay in a drawer every third day', on: data.behaviour.gaps },
		{ name: 'later', label: 'The calendar has an event more', on: data.behaviour.later },
		{ name: 'jammed', label: 'The label printer is jammed', on: data.behaviour.jammed }
	]);
</script>

<svelte:head><title>Stand-ins · Horarium</title></svelte:head>

<main id="main" class="mx-auto w-full max-w-3xl flex-1 px-5 py-5">
	<h1 class="pb-2 text-3xl">Stand-ins</h1>
	<p class="max-w-prose">
		Small simulated devices that stand in for a band, a calendar, three banks, a camera and a label
		printer while Horarium is tried out. They answer over HTTP as real ones do; Horarium does not
		know the difference.
	</p>
	<dl class="grid grid-cols-[8rem_1fr] gap-y-1 py-4">
		<dt class="text-ink-soft">Band</dt>
		<dd class="font-mono">{data.origin}/standins/band</dd>
		<dt class="text-ink-soft">Calendar</dt>
		<dd class="font-mono">{data.origin}/standins/calendar.ics</dd>
		<dt class="text-ink-soft">Label printer</dt>
		<dd class="font-mono">{data.origin}/standins/printer</dd>
	</dl>
	<form method="POST" action="?/behave" use:enhance class="border-y border-hairline py-3">
		<fieldset class="flex flex-col gap-1">
			<legend class="pb-1 font-serif text-xl">Troubles</legend>
			{#each troubles as { name, label, on } (name)}
				<label class="flex items-center gap-2">
					<input type="checkbox" class="size-5 accent-calm" {name} checked={on} />
					{label}
				</label>
			{/each}
		</fieldset>
		<button class="button mt-3">Behave so</button>
	</form>
	<h2 class="pt-4 pb-1 text-xl">Three banks</h2>
	<p>Statements of April and May 2027, as their customers save them:</p>
	<ul class="flex flex-wrap gap-x-6 py-1">
		{#each data.banks as bank (bank)}
			{#each ['2027-04', '2027-05'] as month (month)}
				<li>
					<a
						class="underline"
						href="/standins/bank/{bank}?month={month}"
						download
						data-sveltekit-reload>{bank}, {month}</a
					>
				</li>
			{/each}
		{/each}
	</ul>
	<h2 id="camera" class="pt-4 pb-1 text-xl">A camera</h2>
	<p>
		Simulated photographs of empty pages of 28 × 40 squares, to try measuring with: the
		{#each [['left', 'left page'], ['right', 'right page'], ['both', 'open spread']] as const as [side, name], at (side)}
			{at > 0 ? (at > 1 ? ' and the ' : ', the ') : ''}<a
				class="underline"
				href="/standins/page.png?side={side}"
				download
				data-sveltekit-reload>{name}</a
			>{/each}.
	</p>
	<p>
		Simulated photographs of pages as they were drawn and filled in, to try “Keep, photograph” with;
		days that nothing is kept of are made up. Add <code>&slip</code> to an address, and one of its lines
		is ruled a square off:
	</p>
	<ul class="py-1">
		{#each data.photographed as { id, name, pages } (id)}
			<li class="flex flex-wrap gap-x-4">
				<span class="w-32">{name}</span>
				{#each pages as number (number)}
					<a
						class="underline"
						href="/standins/page.png?month={id}&page={number}&whole"
						download
						data-sveltekit-reload>{number}</a
					>
				{/each}
			</li>
		{/each}
	</ul>
	<h2 class="pt-4 pb-1 text-xl">The label printer</h2>
	<p>
		It is {data.printer.state}; {(data.printer.leftMm / 1000).toFixed(2)} m of tape of
		{data.printer.tapeMm} mm are left.
	</p>
	<form method="POST" use:enhance class="flex flex-wrap gap-2 py-2">
		<button class="button" formaction="?/tape">Put a new tape in</button>
		<button class="button" formaction="?/end">Put one in that is nearly at its end</button>
	</form>
	<!-- What is too long is reached by keys. -->
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="overflow-x-auto bg-desk p-2" role="region" aria-label="The tape" tabindex="0">
		<img
			class="h-[12mm] max-w-none bg-print"
			src="/standins/printer/tape.svg?left={data.printer.leftMm}"
			alt="What was printed last"
		/>
	</div>
	<h2 class="pt-4 pb-1 text-xl">The first days of May as the band has them</h2>
	<table class="w-full text-left">
		<thead class="text-sm text-ink-soft">
			<tr
				><th class="font-normal">Day</th><th class="font-normal">Steps</th><th class="font-normal"
					>Asleep</th
				></tr
			>
		</thead>
		<tbody>
			{#each data.sample as { date, steps, sleep } (date)}
				<tr class="border-t border-hairline">
					<td class="py-1">{date}</td>
					<td>{steps ?? 'not worn'}</td>
					<td
						>{sleep
							.map(({ from, to }) => `${from.slice(11, 16)}–${to.slice(11, 16)}`)
							.join(', ')}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
</main>
