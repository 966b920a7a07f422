<script lang="ts">
	import { Toaster } from 'svelte-sonner';
</script>

<!-- Only screens that tell something in passing carry this, so that the others load less. -->
<Toaster position="bottom-center" duration={10_000} closeButton />
