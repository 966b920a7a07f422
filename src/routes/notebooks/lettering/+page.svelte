<script lang="ts">
	import { untrack } from 'svelte';
	import { formById, misfitOf, type Content, type Rules, type Setting } from '$lib/core/forms';
	import { letteringOf, letters, quoteSize } from '$lib/core/hand';
	import { monthName, monthShape, nextToPlan } from '$lib/core/month';
	import FormPicture from '$lib/ui/page/FormPicture.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import TextField from '$lib/ui/fields/TextField.svelte';

	let { data } = $props();

	const today = new Date();
	const month = nextToPlan([], { year: today.getFullYear(), month: today.getMonth() + 1 });
	let width = $state(untrack(() => data.columns));
	let word = $state(untrack(() => monthName(data.person.locale, month)));
	let letter = $state<number>();
	let words = $state('Calm water is for the passengers; the engine room keeps its own weather.');
	let height = $state(12);
	let lineHeight = $state<number>();

	/** A form in a room: its drawing, or what it lacks. */
	function ruled(id: string, content: Content, rules: Rules, h: number) {
		const form = formById(id);
		if (!form) return {};
		const setting: Setting = {
			month: monthShape(month, 'monday'),
			hand: data.person.hand,
			locale: data.person.locale,
			content,
			rules
		};
		const room = { span: 'page', w: width, h } as const;
		const [layout] = form.layouts(setting, room);
		return layout ? { layout } : { reason: misfitOf(form, setting, room).reason };
	}
	const drawn = $derived(ruled('title', { title: word }, { letter }, letter ?? 6));
	const wanted = $derived(
		letter === undefined ? undefined : letteringOf(letters(word).length, width, letter)
	);
	const written = $derived(ruled('quote', { text: words }, { lineHeight }, height));
	const needed = $derived(
		quoteSize(words, width, data.person.hand, lineHeight ?? data.person.hand.lineHeight)
	);
</script>

<svelte:head><title>Lettering and quotes · Horarium</title></svelte:head>

<main id="main" class="mx-auto grid w-full max-w-6xl flex-1 gap-8 px-5 py-5 lg:grid-cols-2">
	<section aria-labelledby="word" class="flex min-w-0 flex-col gap-4">
		<h1 id="word" class="text-3xl">A title, letter by letter</h1>
		<TextField label="Word" value={word} most={60} onchange={(text) => (word = text)} />
		<div class="flex flex-wrap gap-4">
			<NumberField
				label="Width"
				value={width}
				least={1}
				most={200}
				unit="squares"
				onchange={(value) => value && (width = value)}
			/>
			<NumberField
				label="Letters wide"
				value={letter}
				least={1}
				most={60}
				unit="squares"
				optional
				placeholder="largest"
				onchange={(value) => (letter = value)}
			/>
		</div>
		{#if drawn.layout}
			<FormPicture
				layout={drawn.layout}
				hand={data.person.hand}
				label="“{word}” in drawn letters"
			/>
			{#each drawn.layout.why as sum, index (index)}<p>{sum}</p>{/each}
		{:else if drawn.reason}
			<p class="border-l-4 border-caution bg-caution-ground px-3 py-2" role="status">
				{drawn.reason}.
				{#if wanted && !wanted.fits && wanted.largest}
					Letters of {wanted.largest.letter} with gaps of {wanted.largest.gap} would do.
				{:else}
					Take a shorter word, two lines, or upright letters down the side.
				{/if}
			</p>
		{/if}
	</section>
	<section aria-labelledby="quote" class="flex min-w-0 flex-col gap-4">
		<h2 id="quote" class="text-3xl">A quote in even lines</h2>
		<label class="flex flex-col gap-0.5">
			<span class="text-sm text-ink-soft">Words</span>
			<textarea class="field font-hand text-lg" rows="3" maxlength="20000" bind:value={words}
			></textarea>
		</label>
		<div class="flex flex-wrap gap-4">
			<NumberField
				label="Height"
				value={height}
				least={1}
				most={300}
				unit="squares"
				onchange={(value) => value && (height = value)}
			/>
			<NumberField
				label="From line to line"
				value={lineHeight}
				least={1}
				most={20}
				unit="squares"
				optional
				placeholder="largest"
				onchange={(value) => (lineHeight = value)}
			/>
		</div>
		{#if written.layout}
			<FormPicture
				layout={written.layout}
				hand={data.person.hand}
				label="The quote as it will be written"
			/>
			{#each written.layout.why as sum, index (index)}<p>{sum}</p>{/each}
		{:else if written.reason}
			<p class="border-l-4 border-caution bg-caution-ground px-3 py-2" role="status">
				{written.reason}.
			</p>
		{/if}
		{#if needed}
			<p class="text-ink-soft">
				In a hand {lineHeight ?? data.person.hand.lineHeight} high it needs {needed.w} × {needed.h} squares.
			</p>
		{/if}
	</section>
</main>
