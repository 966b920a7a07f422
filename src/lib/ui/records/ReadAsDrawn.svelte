<script lang="ts">
	import { tick } from 'svelte';
	import { marginMm, sideOf } from '$lib/core/paper';
	import { themeOn } from '$lib/core/page';
	import type { MonthShape } from '$lib/core/month';
	import { nameOf } from '../month/block-name';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import DotPattern from '../page/DotPattern.svelte';
	import PageMarks from '../page/PageMarks.svelte';
	import { themeStyle } from '../page/theme-style';
	import FieldCell from './FieldCell.svelte';
	import { fieldWords } from './field-words';
	import { towards } from './nearest';
	import type { ProposedField } from './picture-reader.svelte';

	interface Props {
		desk: MonthDesk;
		page: number;
		shape: MonthShape;
		fields: readonly ProposedField[];
		/** What a field holds once the picture is taken over. */
		valueOf: (place: number) => string;
		/** The field that is being asked about. */
		open: number;
		/** Somebody doubts a field. */
		ondoubt: (place: number) => void;
	}
	/** A page with what was read in a picture of it, to be compared with that. */
	let { desk, page, shape, fields, valueOf, open, ondoubt }: Props = $props();
	const id = $props.id();

	const notebook = $derived(desk.plan.notebook);
	const margin = $derived(marginMm(notebook, sideOf(page)));
	const mm = $derived((length: number) => length / notebook.pitchMm);
	const blocks = $derived(new Map(desk.run.blocks.map((block) => [block.wish, block])));
	const names = $derived(
		fields.map(({ read }) => {
			const block = blocks.get(read.wish);
			return fieldWords(read.field, block ? nameOf(block.as) : read.wish, shape);
		})
	);
	let picture = $state<HTMLElement>();
	/** Where the keyboard is: at what is asked about, until it goes elsewhere. */
	let here = $derived(Math.max(0, open));
	const at = $derived(Math.min(here, Math.max(0, fields.length - 1)));
	const places = $derived(fields.map(({ read }) => read.field));

	async function pressed(event: KeyboardEvent) {
		if (event.altKey || event.ctrlKey || event.metaKey) return;
		if (event.key.startsWith('Arrow')) {
			here = towards(places, at, event.key) ?? at;
			await tick();
			picture?.querySelector<SVGElement>('[data-field]')?.focus();
		} else if (event.key === 'Enter' || event.key === ' ') ondoubt(at);
		else return;
		event.preventDefault();
	}

	function doneOf(wish: string): string | undefined {
		const block = blocks.get(wish);
		const rules = block && block.as.rules?.[block.form];
		return rules?.done === undefined ? undefined : String(rules.done);
	}
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div bind:this={picture} onkeydown={pressed}>
	<svg
		viewBox="{-mm(margin.x)} {-mm(margin.y)} {mm(notebook.pageMm.width)} {mm(
			notebook.pageMm.height
		)}"
		class="block h-auto w-full bg-paper"
		role="group"
		aria-label="Page {page} with what was read"
	>
		<defs><DotPattern {id} /></defs>
		<rect
			x="-0.5"
			y="-0.5"
			width={notebook.columns + 1}
			height={notebook.rows + 1}
			fill="url(#{id})"
		/>
		<PageMarks plan={desk.plan} run={desk.run} {page} still={false} />
		<g style={themeStyle(themeOn(desk.plan, desk.run, page))}>
			{#each fields as { read }, place (place)}
				<FieldCell
					field={read.field}
					value={valueOf(place)}
					done={doneOf(read.wish)}
					label={names[place] ?? ''}
					current={place === at}
					locale={desk.plan.locale}
					onpick={() => ondoubt(place)}
				/>
			{/each}
		</g>
	</svg>
</div>
