<script lang="ts">
	import '@fontsource/alegreya-sans/400.css';
	import '@fontsource/alegreya-sans/500.css';
	import '@fontsource/alegreya-sans/700.css';
	import '@fontsource/alegreya/500.css';
	import '@fontsource/alegreya/500-italic.css';
	import '@fontsource/patrick-hand/400.css';
	import '../app.css';
	import { onMount } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { loadFonts, setCoverage } from '$lib/ui/fonts.svelte';
	import { Keeping, setKeeping } from '$lib/ui/keeping/keeping.svelte';
	import UnkeptNotices from '$lib/ui/keeping/UnkeptNotices.svelte';
	import Masthead from '$lib/ui/shell/Masthead.svelte';

	let { data, children } = $props();

	const keeping = new Keeping(() => void invalidateAll());
	setKeeping(keeping);
	setCoverage(() => data.coverage);
	$effect(() => loadFonts(data.fonts));
	// Until then what is clicked would not answer.
	onMount(() => (document.documentElement.dataset.live = ''));
</script>

<a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-field focus:p-2"
	>To the content</a
>
<div class="flex min-h-dvh flex-col max-md:pb-12 print:pb-0">
	<Masthead months={data.months} theme={data.theme} />
	<UnkeptNotices {keeping} />
	{@render children()}
</div>
