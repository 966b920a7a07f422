<script lang="ts">
	import type { MonthDesk } from './month-desk.svelte';

	let { desk }: { desk: MonthDesk } = $props();
	const words = {
		saved: 'Saved',
		saving: 'Saving …',
		failed: 'Not saved',
		conflict: 'Not saved',
		deleted: 'Not saved'
	};
</script>

<p class="text-sm text-ink-soft" role="status" data-testid="save-state">
	{words[desk.saver.state.kind]}
</p>
