<script lang="ts">
	import { monthShape } from '$lib/core/month';
	import { blocksOn } from '$lib/core/page';
	import { blockName } from '../month/block-name';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import ReadAsDrawn from './ReadAsDrawn.svelte';
	import PictureQuestion from './PictureQuestion.svelte';
	import type { PictureReader, ProposedField, TakenPicture } from './picture-reader.svelte';

	interface Props {
		desk: MonthDesk;
		reader: PictureReader;
		picture: TakenPicture;
	}
	/** A picture of a page: what was read, laid over it, and what somebody is asked about it. */
	let { desk, reader, picture }: Props = $props();

	const shape = $derived(monthShape(desk.plan.month, desk.plan.weekStart));
	const stage = $derived(picture.stage);
	const fields = $derived(reader.fieldsOf(picture));
	const count = (kind: ProposedField['proposed']['kind']) =>
		fields.filter(({ proposed }) => proposed.kind === kind).length;
	const changes = $derived(reader.changesOf(picture));
	const open = $derived(
		fields.findIndex(
			({ proposed }, place) =>
				(proposed.kind === 'ask' || proposed.kind === 'type') && !picture.answerTo(place)
		)
	);
	const asked = $derived(fields[open]);
	const questions = $derived(count('ask') + count('type'));

	const valuesIn = (count: number) => (count === 1 ? '1 value' : `${count} values`);
	const titleOf = (page: number) =>
		`Page ${page}: ${blocksOn(desk.run, page)
			.filter(({ host }) => !host)
			.map(blockName)
			.join(', ')}`;
	const points = ({ read }: ProposedField) =>
		read.corners.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');

	/** How a field is outlined in the picture: only what is asked about. */
	function outline({ proposed }: ProposedField, place: number): string {
		if (place === open) return 'stroke-rubric stroke-[5]';
		const isAsked = proposed.kind === 'ask' && !picture.answerTo(place);
		return isAsked ? 'stroke-rubric stroke-2' : '';
	}
</script>

<section aria-label={picture.file.name} class="border-t border-hairline pt-4">
	{#if stage.kind === 'waiting'}
		<p class="text-ink-soft">{picture.file.name} waits its turn.</p>
	{:else if stage.kind === 'looking'}
		<p class="flex flex-wrap items-center gap-3" role="status">
			<progress max="1" value={stage.share} aria-label="Reading {picture.file.name}"></progress>
			Reading {picture.file.name} …
			<button class="button" onclick={() => reader.remove(picture)}>Cancel</button>
		</p>
	{:else if stage.kind === 'refused'}
		<div class="flex flex-wrap items-start gap-5" role="alert">
			<img class="max-h-40 w-auto" src={picture.address} alt={picture.file.name} />
			<div class="max-w-prose border-l-4 border-caution bg-caution-ground px-3 py-2">
				<p>{stage.says}</p>
				<p class="pt-2">
					<button class="button" onclick={() => reader.remove(picture)}>Put it away</button>
				</p>
			</div>
		</div>
	{:else if stage.kind === 'taken'}
		<p class="flex flex-wrap items-center gap-4" role="status">
			<img class="h-16 w-auto" src={picture.address} alt="" />
			<span>
				<span class="block font-serif text-lg">{titleOf(stage.page)}</span>
				{stage.count === 0 ? 'Nothing new.' : `${valuesIn(stage.count)} kept.`}
				{#if stage.picture === 'kept'}
					The photograph is <a class="underline" href="/months/{desk.id}/look-back#photographs"
						>kept with them</a
					>.
				{:else if stage.picture === 'being kept'}
					Keeping the photograph …
				{:else if stage.picture}
					<span role="alert" class="text-caution"
						>The photograph is not kept: {stage.picture.trouble}</span
					>
				{/if}
			</span>
		</p>
	{:else if stage.read.pages.length > 1}
		{@const { read } = stage}
		<div class="flex flex-wrap items-start gap-5">
			<img class="max-h-56 w-auto" src={picture.address} alt={picture.file.name} />
			<div class="flex flex-col gap-3" role="group" aria-label="Which page it is">
				<h2 class="text-2xl">Which page is this?</h2>
				<p class="text-ink-soft">These are ruled alike.</p>
				{#each read.pages as page (page)}
					<button class="button" onclick={() => reader.again(picture, page)}>{titleOf(page)}</button
					>
				{/each}
				<button class="button button-quiet" onclick={() => reader.remove(picture)}
					>None of them: put it away</button
				>
			</div>
		</div>
	{:else}
		{@const { read } = stage}
		<div class="flex flex-col gap-4">
			<div class="flex flex-wrap items-center gap-x-6 gap-y-2">
				<h2 class="text-2xl">{titleOf(read.page)}</h2>
				<ul class="flex flex-1 flex-wrap gap-x-6 gap-y-1">
					<li><strong class="text-calm">{count('new')}</strong> read</li>
					{#if count('same') > 0}<li><strong>{count('same')}</strong> as they are kept</li>{/if}
					{#if questions > 0}
						<li><strong class="text-rubric">{questions}</strong> to look at</li>
					{/if}
					{#if count('hidden') > 0}
						<li><strong>{count('hidden')}</strong> not in the picture</li>
					{/if}
				</ul>
				<button class="button button-main" onclick={() => reader.take(picture)}>
					{changes.length === 0 ? 'Nothing new: put it away' : `Keep ${valuesIn(changes.length)}`}
				</button>
				<button class="button button-quiet" onclick={() => reader.remove(picture)}>Discard</button>
			</div>
			{#if asked}
				{#key open}
					<PictureQuestion
						{asked}
						{shape}
						address={picture.address}
						size={read.picture}
						locale={desk.plan.locale}
						name={blocksOn(desk.run, read.page).find(({ wish }) => wish === asked.read.wish)}
						number={picture.answers.length + 1}
						of={questions}
						onanswer={(value) => picture.answer(open, value)}
						onback={picture.answers.length > 0 ? () => picture.unanswer() : undefined}
					/>
				{/key}
			{:else if questions > 0}
				<p class="flex items-center gap-3" role="status">
					All looked at.
					<button class="button" onclick={() => picture.unanswer()}>Back to the last one</button>
				</p>
			{/if}
			<div class="grid max-w-5xl items-start gap-x-6 gap-y-4 sm:grid-cols-2">
				<figure>
					<figcaption class="pb-1 text-sm text-ink-soft">The photograph</figcaption>
					<svg
						viewBox="{read.view.x} {read.view.y} {read.view.w} {read.view.h}"
						class="block h-auto w-full"
						role="img"
						aria-label="Photograph of page {read.page}"
					>
						<image
							href={picture.address}
							width={read.picture.width}
							height={read.picture.height}
							preserveAspectRatio="none"
						/>
						{#each fields as field, place (place)}
							{#if outline(field, place)}
								<polygon points={points(field)} class="fill-none {outline(field, place)}" />
							{/if}
						{/each}
					</svg>
				</figure>
				<figure>
					<figcaption class="pb-1 text-sm text-ink-soft">
						What was read. Click on what is wrong.
					</figcaption>
					<ReadAsDrawn
						{desk}
						page={read.page}
						{shape}
						{fields}
						valueOf={(place) => {
							const field = fields[place];
							return field ? reader.valueOf(picture, field, place) : '';
						}}
						{open}
						ondoubt={(place) => picture.doubt(place)}
					/>
				</figure>
			</div>
		</div>
	{/if}
</section>
