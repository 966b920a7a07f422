<script lang="ts">
	import '@fontsource/alegreya-sans/400.css';
	import '@fontsource/alegreya-sans/500.css';
	import '@fontsource/alegreya-sans/700.css';
	import '@fontsource/alegreya/500.css';
	import '@fontsource/alegreya/500-italic.css';
	import '@fontsource/patrick-hand/400.css';
	import '../app.css';
	import Masthead from '$lib/ui/shell/Masthead.svelte';

	let { data, children } = $props();
</script>

<a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-field focus:p-2"
	>To the content</a
>
<div class="flex min-h-dvh flex-col">
	<Masthead months={data.months} theme={data.theme} locale={data.locale} />
	{@render children()}
</div>
