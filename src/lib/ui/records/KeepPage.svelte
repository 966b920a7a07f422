<script lang="ts">
	import { tick } from 'svelte';
	import { subjectKey } from '$lib/core/draw';
	import { pageFields, themeOn } from '$lib/core/page';
	import { monthShape } from '$lib/core/month';
	import { typedInto, valueText } from '$lib/core/records';
	import { marginMm, type Spread } from '$lib/core/paper';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { nameOf } from '../month/block-name';
	import { themeStyle } from '../page/theme-style';
	import ZoomPane from '../page/ZoomPane.svelte';
	import SpreadPicture from '../page/SpreadPicture.svelte';
	import FieldCell from './FieldCell.svelte';
	import { fieldWords, howWords } from './field-words';
	import { towards } from './nearest';
	import type { RecordsDesk } from './records-desk.svelte';

	interface Props {
		desk: MonthDesk;
		records: RecordsDesk;
		spread: Spread;
	}
	/** An open spread as it is drawn, to be filled in where the fields stand. */
	let { desk, records, spread }: Props = $props();

	let chosen = $state(0);
	let typed = $state<string>();
	let fault = $state<string>();
	let bar = $state<HTMLInputElement>();
	let picture = $state<HTMLElement>();

	const shape = $derived(monthShape(desk.plan.month, desk.plan.weekStart));
	const wishes = $derived(new Map(desk.run.blocks.map((block) => [block.wish, block])));
	const fields = $derived(
		[spread.left, spread.right].flatMap((page) => {
			const { pitchMm, pageMm } = desk.plan.notebook;
			const side = page === spread.left ? ('left' as const) : ('right' as const);
			const margin = marginMm(desk.plan.notebook, side);
			const shift = (side === 'right' ? pageMm.width : 0) + margin.x;
			return pageFields(desk.plan, desk.run, page).map(({ wish, field }) => {
				const block = wishes.get(wish);
				const rules = block && block.as.rules?.[block.form];
				return {
					page,
					wish,
					field,
					key: `${page} ${wish} ${subjectKey(field.about)} ${field.x} ${field.y}`,
					about: subjectKey(field.about),
					done: rules?.done === undefined ? undefined : String(rules.done),
					words: fieldWords(field, block ? nameOf(block.as) : wish, shape),
					// Where it lies on the open spread, for the arrows.
					place: { ...field, x: field.x + shift / pitchMm, y: field.y + margin.y / pitchMm }
				};
			});
		})
	);
	const at = $derived(Math.min(chosen, Math.max(0, fields.length - 1)));
	const here = $derived(fields[at]);
	const places = $derived(fields.map(({ place }) => place));
	const kept = $derived(here ? records.valueOf(here.wish, here.about) : '');
	const shown = $derived(
		typed ?? (here ? valueText(here.field.holds, kept, desk.plan.locale) : '')
	);

	async function go(to: number | undefined) {
		if (to === undefined) return;
		chosen = to;
		typed = undefined;
		fault = undefined;
		await tick();
		picture?.querySelector<SVGElement>('[data-field]')?.focus();
	}

	/** Keeps what was typed; false where it cannot be read. */
	function commit(text: string): boolean {
		if (!here) return false;
		const read = typedInto(here.wish, here.field, text, records.known, {
			locale: desk.plan.locale,
			days: shape.days
		});
		fault = read.ok ? undefined : read.says;
		if (!read.ok) return false;
		records.change(read.changes);
		typed = undefined;
		return true;
	}

	/** The next field: of the same thing a day later, else the one that comes after it. */
	function following(): number | undefined {
		if (!here) return undefined;
		const { day, item, column } = here.field.about;
		const next =
			day === undefined
				? -1
				: fields.findIndex(
						({ wish, field: { about } }) =>
							wish === here.wish &&
							about.item === item &&
							about.column === column &&
							about.day === day + 1
					);
		return next >= 0 ? next : at + 1 < fields.length ? at + 1 : undefined;
	}

	async function pressed(event: KeyboardEvent) {
		if (!here || event.altKey || event.ctrlKey || event.metaKey) return;
		const { key } = event;
		if (key.startsWith('Arrow')) {
			event.preventDefault();
			return go(towards(places, at, key));
		}
		if (key === 'Backspace' || key === 'Delete') {
			event.preventDefault();
			commit('');
			return;
		}
		const single = here.field.holds === 'mark' || here.field.holds === 'level';
		if (single && (key === ' ' || key.length === 1)) {
			event.preventDefault();
			const sign = key === ' ' ? (here.field.holds === 'mark' && kept !== 'x' ? 'x' : '') : key;
			if (commit(sign) && key !== ' ') await go(following());
			return;
		}
		if (key === 'Enter' || key === ' ' || key.length === 1) {
			event.preventDefault();
			typed = key.length === 1 && key !== ' ' ? key : shown;
			await tick();
			bar?.focus();
			if (key.length > 1) bar?.select();
		}
	}

	async function inBar(event: KeyboardEvent) {
		if (event.key === 'Enter') {
			event.preventDefault();
			if (commit(shown)) await go(following() ?? at);
		} else if (event.key === 'Escape') await go(at);
	}

	/** A touch on a mark fills it, and takes it away again. */
	async function picked(index: number) {
		const again = index === at;
		await go(index);
		const field = fields[index]?.field;
		if (field?.holds === 'mark' || field?.holds === 'tick') {
			const now = records.valueOf(fields[index]?.wish ?? '', fields[index]?.about ?? '');
			commit(now === 'x' ? (again && field.holds === 'mark' ? '-' : '') : now === '-' ? '' : 'x');
		}
	}
</script>

{#if fields.length === 0}
	<p class="py-6 text-ink-soft">Nothing is filled in on these pages.</p>
{:else}
	<div class="flex flex-wrap items-end gap-3 py-2 print:hidden">
		<label class="flex min-w-64 flex-col gap-0.5">
			<span class="text-sm text-ink-soft">{here?.words}</span>
			<input
				bind:this={bar}
				class="field w-full"
				autocomplete="off"
				value={shown}
				aria-invalid={fault ? 'true' : undefined}
				oninput={(event) => (typed = event.currentTarget.value)}
				onkeydown={inBar}
				onblur={() => typed !== undefined && commit(typed)}
			/>
		</label>
		<p class="pb-1.5 text-sm {fault ? 'text-caution' : 'text-ink-soft'}" role="status">
			{fault ?? (here ? howWords(here.field) : '')}
		</p>
	</div>
	<!-- svelte-ignore a11y_no_static_element_interactions -->
	<div bind:this={picture} onkeydown={pressed}>
		<ZoomPane label="Picture of the pages" keys={false}>
			<SpreadPicture
				plan={desk.plan}
				run={desk.run}
				{spread}
				live
				label="Pages {spread.left} and {spread.right}, to be filled in"
			>
				{#snippet overlay(page)}
					<g style={themeStyle(themeOn(desk.plan, desk.run, page))}>
						{#each fields as { page: on, wish, field, key, about, done, words }, index (key)}
							{#if on === page}
								<FieldCell
									{field}
									value={records.valueOf(wish, about)}
									{done}
									label={words}
									current={index === at}
									locale={desk.plan.locale}
									onpick={() => picked(index)}
								/>
							{/if}
						{/each}
					</g>
				{/snippet}
			</SpreadPicture>
		</ZoomPane>
	</div>
{/if}
