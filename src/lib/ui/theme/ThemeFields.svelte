<script lang="ts">
	import { missingColours } from '$lib/core/page';
	import {
		colourAt,
		hueOfMonth,
		hues,
		legible,
		proposedThemes,
		roleNames,
		roles,
		themeFaults,
		type Theme
	} from '$lib/core/theme';
	import TextField from '../fields/TextField.svelte';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { pageRanges } from './page-ranges';
	import Swatches from './Swatches.svelte';

	/** The month's colours by what they are for: proposed by rule, as last month, or one by one. */
	let { desk }: { desk: MonthDesk } = $props();

	let open = $state(false);
	let chosenHue = $state<number>();

	const theme = $derived(desk.month.theme);
	const hue = $derived(chosenHue ?? hueOfMonth(desk.plan.month.month));
	const faults = $derived(open && theme ? themeFaults(theme) : []);
	/** Looked for only while it is read: every mark of every page is looked at. */
	const missing = $derived(open && theme ? missingColours(desk.plan, desk.run) : []);

	function take(colours: Theme | undefined, name?: string) {
		const motif = theme?.motif;
		desk.change({ theme: colours && motif ? { ...colours, motif } : colours }, name);
	}
	function change(part: Partial<Theme>) {
		if (theme) desk.change({ theme: { ...theme, ...part } }, `theme ${Object.keys(part).join()}`);
	}
</script>

<details class="border-b border-hairline py-2" bind:open>
	<summary class="cursor-pointer">
		{#if theme}
			<span class="inline-block align-middle"><Swatches {theme} /></span>
			<span class="text-ink-soft">{theme.motif ?? 'colours of the month'}</span>
		{:else}
			<span class="text-ink-soft">One ink and pale tints</span>
		{/if}
		<span class="underline decoration-hairline underline-offset-4">Colours</span>
	</summary>
	{#if open}
		<div class="flex flex-col gap-3 pt-3 pb-2">
			<div role="group" aria-label="Begin at" class="flex flex-wrap gap-1">
				{#each hues as { hue: begin, name } (name)}
					<button
						class="h-8 w-8 border-2 {hue === begin
							? 'border-ink'
							: 'border-hairline hover:border-ink'}"
						style:background={colourAt(0.72, 0.12, begin)}
						aria-label={name}
						title={name}
						aria-pressed={hue === begin}
						onclick={() => (chosenHue = begin)}
					></button>
				{/each}
			</div>
			<ul class="flex flex-col gap-1" aria-label="Proposed colours">
				{#each proposedThemes(hue) as proposed (proposed.name)}
					<li>
						<button class="button w-full justify-start" onclick={() => take(proposed.theme)}
							><Swatches theme={proposed.theme} /> {proposed.name}</button
						>
					</li>
				{/each}
				{#if desk.themeBefore}
					{@const before = desk.themeBefore}
					<li>
						<button
							class="button w-full justify-start"
							onclick={() => desk.change({ theme: before })}
							><Swatches theme={before} /> as last month</button
						>
					</li>
				{/if}
			</ul>
			{#if theme}
				<TextField
					label="Motif, in words"
					value={theme.motif ?? ''}
					placeholder="such as rope and lanterns"
					onchange={(motif) => change({ motif: motif || undefined })}
				/>
				<fieldset class="flex flex-wrap gap-x-4 gap-y-1">
					<legend class="text-sm text-ink-soft">One by one</legend>
					{#each roles as role (role)}
						<label class="flex items-center gap-2">
							<input
								type="color"
								class="h-8 w-10 cursor-pointer border border-ink-soft bg-field p-0.5"
								value={theme[role]}
								oninput={({ currentTarget: { value } }) => change({ [role]: value })}
							/>
							{roleNames[role]}
						</label>
					{/each}
				</fieldset>
				{#if faults.length > 0}
					<div class="border-l-4 border-caution bg-caution-ground px-3 py-2" role="status">
						{#each faults as fault (fault)}<p>{fault}</p>{/each}
						<button class="button mt-2" onclick={() => take(legible(theme))}>Make it legible</button
						>
					</div>
				{/if}
				{#if missing.length > 0}
					<div class="text-sm text-ink-soft">
						<p>A month holds together when each colour returns on every page.</p>
						<ul class="list-disc pl-5">
							{#each missing as { role, pages } (role)}
								<li>
									{roleNames[role]}: {pages.length === desk.run.pages.length
										? 'on no page'
										: `not on ${pages.length > 1 ? 'pages' : 'page'} ${pageRanges(pages)}`}
								</li>
							{/each}
						</ul>
						<p>A strip along the edge or a dot beside the page number is enough.</p>
					</div>
				{/if}
				<p><button class="button" onclick={() => take(undefined)}>No theme</button></p>
			{/if}
		</div>
	{/if}
</details>
