import type * as ECharts from 'echarts';
import address from 'echarts/dist/echarts.esm.min.js?url';

let loading: Promise<typeof ECharts> | undefined;

/** The library that draws charts: a file of its own, fetched by the first chart that is shown. */
export function loadCharts(): Promise<typeof ECharts> {
	loading ??= import(/* @vite-ignore */ address) as Promise<typeof ECharts>;
	return loading;
}
