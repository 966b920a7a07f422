<script lang="ts" generics="T">
	import type { LineFormat } from '../month/field-lines';
	import { keptText } from './kept-text';

	interface Props {
		label: string;
		/** What may be written on a line, shown when asked for. */
		help?: string;
		value: readonly T[];
		format: LineFormat<T>;
		/** Tells this field from all others: what is typed and not understood is kept under it. */
		name: string;
		/** So many entries are taken; what is typed beyond waits, and is said. */
		most?: number;
		onchange: (value: T[]) => void;
	}
	let { label, help, value, format, name, most = Infinity, onchange }: Props = $props();
	const id = $props.id();

	/** What is typed stands as typed while the field has the focus, or as long as not all of it is understood. */
	let typed = $state<string>();
	const waiting = $derived(keptText(name));
	const text = $derived(typed ?? waiting.read() ?? format.write(value));
	const read = $derived(format.read(text, value));
	const many = $derived(read.entries.length - most);

	function type(input: string) {
		typed = input;
		const { entries, unread } = format.read(input, value);
		waiting.keep(unread.length > 0 || entries.length > most ? input : undefined);
		onchange(entries.slice(0, most));
	}
</script>

<div class="flex flex-col gap-0.5">
	<label for={id} class="text-sm text-ink-soft">{label}</label>
	<textarea
		{id}
		class="field font-hand text-lg leading-snug"
		rows={Math.min(12, Math.max(3, value.length + read.unread.length + 1))}
		value={text}
		aria-invalid={read.unread.length > 0 ? 'true' : undefined}
		aria-describedby={read.unread.length > 0 || many > 0 ? `${id}-unread` : undefined}
		oninput={(event) => type(event.currentTarget.value)}
		onblur={() => (typed = undefined)}></textarea>
	{#if help}
		<details class="text-sm text-ink-soft">
			<summary class="cursor-pointer">What a line may say</summary>
			<p class="pt-1">{help}</p>
		</details>
	{/if}
	{#if read.unread.length > 0}
		<p id="{id}-unread" class="text-sm text-caution">
			Not understood, so not on the page: {read.unread.map((line) => `“${line}”`).join(', ')}. Write
			it as “{format.example}”.
		</p>
	{:else if many > 0}
		<p id="{id}-unread" class="text-sm text-caution">
			There is room for {most}: the last {many}
			{many === 1 ? 'is' : 'are'} not on the page.
		</p>
	{/if}
</div>
