<script lang="ts">
	import { untrack } from 'svelte';
	import {
		handFrom,
		phrases,
		squaresOf,
		type Hand,
		type MeasuredPhrases,
		type PhraseName
	} from '$lib/core/hand';
	import { languageTags } from '$lib/ui/locale';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import Notices from '$lib/ui/shell/Notices.svelte';
	import OwnFonts from '$lib/ui/notebook/OwnFonts.svelte';
	import { getKeeping } from '$lib/ui/keeping/keeping.svelte';
	import Select from '$lib/ui/fields/Select.svelte';

	let { data } = $props();

	const keeping = getKeeping();
	// What was not kept yet when this screen was left is still shown.
	const start = untrack(() => keeping.hand.hand.unsaved ?? data.hand);
	let measured = $state.raw<MeasuredPhrases>({
		text: squaresOf('text', start.lettersPerSquare),
		figures: squaresOf('figures', start.figuresPerSquare),
		lettering: squaresOf('lettering', start.letteringPerSquare)
	});
	let lineHeight = $state(start.lineHeight);
	let writes = $state(start.writes ?? 'right');
	const kept = $derived([keeping.hand.hand.state.kind, keeping.hand.language.state.kind]);
	let hand = $state.raw<Hand>(start);

	const rows: { name: PhraseName; title: string; how: string; rate: (hand: Hand) => number }[] = [
		{
			name: 'text',
			title: 'Words',
			how: 'Write this as you write in the journal, on one row of squares:',
			rate: (hand) => hand.lettersPerSquare
		},
		{
			name: 'figures',
			title: 'Figures',
			how: 'Write these figures with the same pen:',
			rate: (hand) => hand.figuresPerSquare
		},
		{
			name: 'lettering',
			title: 'Capitals',
			how: 'Draw these capitals as small as you like them for a heading:',
			rate: (hand) => hand.letteringPerSquare
		}
	];

	const languages = languageTags
		.map((tag) => ({
			tag,
			name: new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag
		}))
		.sort((a, b) => a.name.localeCompare(b.name));

	function keep(next: MeasuredPhrases, height: number) {
		measured = next;
		lineHeight = height;
		hand = { ...handFrom(measured, lineHeight), ...(writes === 'left' ? { writes } : {}) };
		keeping.hand.hand.write(hand);
	}
</script>

<svelte:head><title>Your hand · Horarium</title></svelte:head>

<main id="main" class="mx-auto flex w-full max-w-3xl flex-1 flex-col gap-5 px-5 py-5">
	<div class="flex items-baseline gap-4">
		<h1 class="text-3xl">Your hand</h1>
		<p class="text-sm text-ink-soft" role="status" data-testid="save-state">
			{kept.includes('failed') ? 'Not saved' : kept.includes('saving') ? 'Saving …' : 'Saved'}
		</p>
	</div>
	<p>
		How many letters go into a square decides whether a name fits over its column. Write each line
		once into your notebook, count the squares it took, and every page is sized for your hand.
	</p>
	<ol class="flex flex-col gap-6">
		{#each rows as { name, title, how, rate } (name)}
			<li class="border-t border-hairline pt-4">
				<h2 class="text-xl">{title}</h2>
				<p class="text-ink-soft">{how}</p>
				<p class="py-2 text-2xl {name === 'lettering' ? 'font-serif' : 'font-hand'}">
					{phrases[name]}
				</p>
				<div class="flex flex-wrap items-end gap-4">
					<NumberField
						label="{title} took"
						value={measured[name]}
						least={1}
						most={200}
						whole={false}
						unit="squares"
						onchange={(squares) => squares && keep({ ...measured, [name]: squares }, lineHeight)}
					/>
					<p class="pb-1.5">
						{phrases[name].length} ÷ {measured[name]} =
						<strong class="font-serif text-xl text-rubric">{rate(hand)}</strong> to the square
					</p>
				</div>
			</li>
		{/each}
		<li class="border-t border-hairline pt-4">
			<h2 class="text-xl">Lines</h2>
			<div class="flex flex-wrap items-end gap-4">
				<NumberField
					label="From line to line"
					value={lineHeight}
					least={1}
					most={4}
					unit="squares"
					onchange={(height) => height && keep(measured, height)}
				/>
				<p class="pb-1.5 text-ink-soft">1, or 2 for a large hand.</p>
			</div>
		</li>
		<li class="border-t border-hairline pt-4">
			<h2 class="pb-1 text-xl">Side</h2>
			<Choice
				label="I write with my"
				value={writes}
				options={[
					{ value: 'left', label: 'left hand' },
					{ value: 'right', label: 'right hand' }
				]}
				onchange={(side) => {
					writes = side;
					keep(measured, lineHeight);
				}}
			/>
			<p class="pt-1 text-ink-soft">
				Guides tint and write away from the hand, so that it does not lie on what is wet.
			</p>
		</li>
		<li class="border-t border-hairline pt-4">
			<h2 class="text-xl" id="letters">Letters of other scripts</h2>
			<OwnFonts fonts={data.fonts} />
		</li>
		<li class="border-t border-hairline pt-4">
			<h2 class="text-xl">Language</h2>
			<Select
				label="Language of weekdays and months on the pages"
				value={data.language}
				options={[
					{ value: '', label: 'the language of the browser' },
					...languages.map(({ tag, name }) => ({ value: tag, label: name }))
				]}
				onchange={(language) => keeping.hand.language.write(language)}
			/>
		</li>
	</ol>
</main>
<Notices />
