<script lang="ts">
	import { untrack } from 'svelte';

	type Theme = 'light' | 'dark' | 'system';
	let { theme }: { theme: Theme } = $props();

	const names: Record<Theme, string> = { system: 'system', light: 'light', dark: 'dark' };
	const order: Theme[] = ['system', 'light', 'dark'];
	let chosen = $state(untrack(() => theme));

	function next() {
		chosen = order[(order.indexOf(chosen) + 1) % order.length] ?? 'system';
		document.documentElement.dataset.theme = chosen;
		document.cookie = `theme=${chosen}; path=/; max-age=31536000; samesite=strict`;
	}
</script>

<button class="button" onclick={next}>Theme: {names[chosen]}</button>
