<script lang="ts" generics="T">
	import type { LineFormat } from '../month/field-lines';

	interface Props {
		label: string;
		value: readonly T[];
		format: LineFormat<T>;
		onchange: (value: T[]) => void;
	}
	let { label, value, format, onchange }: Props = $props();
	const id = $props.id();

	/** What is typed stands as typed while the field has the focus; the value holds what it means. */
	let typed = $state<string>();
</script>

<div class="flex flex-col gap-0.5">
	<label for={id} class="text-sm text-ink-soft">{label}</label>
	<textarea
		{id}
		class="field font-hand text-lg leading-snug"
		rows={Math.min(12, Math.max(3, value.length + 1))}
		value={typed ?? format.write(value)}
		oninput={(event) => {
			typed = event.currentTarget.value;
			onchange(format.read(typed, value));
		}}
		onblur={() => (typed = undefined)}></textarea>
</div>
