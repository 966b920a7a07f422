import type { EChartsOption } from 'echarts';
import { clockText, type DayValue, type MoneyTally, type TimeSpan } from '$lib/core/records';

/** Colours of the screen that a chart is drawn in. */
export interface ChartColours {
	readonly ink: string;
	readonly soft: string;
	readonly hairline: string;
	readonly paper: string;
	readonly accent: string;
	readonly rubric: string;
	readonly levels: readonly string[];
}

const font = 'Alegreya Sans, sans-serif';

/** What all charts share: quiet axes, patterns besides colours, no motion. */
function frame({ ink, soft }: ChartColours): EChartsOption {
	return {
		animation: false,
		textStyle: { fontFamily: font, color: ink, fontSize: 13 },
		grid: { left: 56, right: 16, top: 20, bottom: 28 },
		// The label is the frame's own; colours have patterns besides.
		aria: { enabled: true, label: { enabled: false }, decal: { show: true } },
		legend: { textStyle: { color: soft, fontFamily: font }, top: 0, right: 0, show: false }
	};
}

function axes({ soft, hairline }: ChartColours) {
	return {
		axisLabel: { color: soft, fontFamily: font },
		axisLine: { lineStyle: { color: hairline } },
		axisTick: { lineStyle: { color: hairline } },
		splitLine: { lineStyle: { color: hairline, opacity: 0.5 } }
	};
}

const days = (last: number) => Array.from({ length: last }, (_, at) => String(at + 1));

/** Numbers by day as a line, with the mean and the slope. */
export function numbersOption(
	values: readonly DayValue[],
	last: number,
	mean: number,
	weekly: number | undefined
): (colours: ChartColours) => EChartsOption {
	const byDay = new Map(values.map(({ day, value }) => [day, value]));
	const middle = values.reduce((sum, { day }) => sum + day, 0) / Math.max(1, values.length);
	const slope =
		weekly === undefined ? undefined : (day: number) => mean + ((day - middle) * weekly) / 7;
	return (colours) => ({
		...frame(colours),
		xAxis: { type: 'category', data: days(last), ...axes(colours) },
		yAxis: { type: 'value', scale: true, ...axes(colours) },
		series: [
			{
				type: 'line',
				data: days(last).map((day) => byDay.get(Number(day)) ?? null),
				symbolSize: 5,
				itemStyle: { color: colours.ink },
				lineStyle: { color: colours.ink, width: 1.5 },
				markLine: {
					silent: true,
					symbol: 'none',
					lineStyle: { color: colours.rubric, type: 'dashed' },
					label: {
						color: colours.rubric,
						fontFamily: font,
						formatter: 'mean',
						position: 'insideEndTop'
					},
					data: [{ yAxis: mean }]
				}
			},
			...(slope
				? [
						{
							type: 'line' as const,
							data: days(last).map((day) => slope(Number(day))),
							symbol: 'none',
							lineStyle: { color: colours.accent, width: 1, type: 'dotted' as const }
						}
					]
				: [])
		]
	});
}

const dayMinutes = 24 * 60;

/** Nights from falling asleep to waking, around the middle of what was kept. */
export function timesOption(
	nights: ReadonlyMap<number, readonly TimeSpan[]>,
	last: number,
	middle: number
): (colours: ChartColours) => EChartsOption {
	// The axis begins half a day before the mean bedtime, so that no night is cut in two.
	const start = middle - dayMinutes / 2;
	const shifted = (minutes: number) => (((minutes - start) % dayMinutes) + dayMinutes) % dayMinutes;
	const most = Math.max(1, ...[...nights.values()].map(({ length }) => length));
	const all = [...nights.values()].flat();
	const step = 120;
	// Lines stand on even hours.
	const even = (minutes: number, round: (value: number) => number) =>
		round((minutes + start) / step) * step - start;
	const first = even(Math.min(dayMinutes, ...all.map(({ from }) => shifted(from))), Math.floor);
	const end = even(Math.max(0, ...all.map(({ from, to }) => shifted(from) + to - from)), Math.ceil);
	return (colours) => ({
		...frame(colours),
		xAxis: { type: 'category', data: days(last), ...axes(colours) },
		yAxis: {
			type: 'value',
			inverse: true,
			min: first,
			max: end,
			interval: step,
			...axes(colours),
			axisLabel: {
				color: colours.soft,
				fontFamily: font,
				formatter: (value: number) => clockText(value + start)
			}
		},
		series: Array.from({ length: most }, (_, at) => at).flatMap((at) => {
			const span = (day: string) => nights.get(Number(day))?.[at];
			return [
				{
					type: 'bar' as const,
					stack: `${at}`,
					barGap: '-100%',
					data: days(last).map((day) => {
						const found = span(day);
						return found ? shifted(found.from) : null;
					}),
					itemStyle: { color: 'transparent', decal: { symbol: 'none' } },
					silent: true
				},
				{
					type: 'bar' as const,
					stack: `${at}`,
					data: days(last).map((day) => {
						const found = span(day);
						return found ? found.to - found.from : null;
					}),
					itemStyle: { color: colours.accent }
				}
			];
		})
	});
}

/** How often each state was there. */
export function sharesOption(
	names: readonly string[],
	counts: readonly number[]
): (colours: ChartColours) => EChartsOption {
	return (colours) => ({
		...frame(colours),
		grid: { left: 90, right: 40, top: 4, bottom: 24 },
		xAxis: { type: 'value', minInterval: 1, ...axes(colours) },
		yAxis: { type: 'category', data: [...names], inverse: true, ...axes(colours) },
		series: [
			{
				type: 'bar',
				data: counts.map((value, at) => ({
					value,
					itemStyle: { color: colours.levels[at], borderColor: colours.soft }
				})),
				label: { show: true, position: 'right', color: colours.ink, fontFamily: font }
			}
		]
	});
}

/** Money by category, the most first. */
export function moneyOption({ byCategory }: MoneyTally): (colours: ChartColours) => EChartsOption {
	return (colours) => ({
		...frame(colours),
		grid: { left: 90, right: 60, top: 4, bottom: 24 },
		xAxis: { type: 'value', ...axes(colours) },
		yAxis: {
			type: 'category',
			inverse: true,
			data: byCategory.map(([name]) => name || 'other'),
			...axes(colours)
		},
		series: [
			{
				type: 'bar',
				data: byCategory.map(([, minor]) => minor / 100),
				itemStyle: { color: colours.accent },
				label: {
					show: true,
					position: 'right',
					color: colours.ink,
					fontFamily: font,
					formatter: ({ value }) => Number(value).toFixed(2)
				}
			}
		]
	});
}

/** Several lines or stacked bars over months. */
export function monthsOption(
	kind: 'line' | 'bar',
	months: readonly string[],
	rows: readonly { readonly name: string; readonly values: readonly (number | null)[] }[],
	unit = ''
): (colours: ChartColours) => EChartsOption {
	return (colours) => {
		const inks = [colours.ink, colours.accent, colours.rubric, colours.soft];
		return {
			...frame(colours),
			grid: { left: 56, right: 16, top: rows.length > 1 ? 44 : 16, bottom: 28 },
			legend: {
				show: rows.length > 1,
				top: 0,
				left: 0,
				textStyle: { color: colours.ink, fontFamily: font }
			},
			xAxis: { type: 'category', data: [...months], ...axes(colours) },
			yAxis: {
				type: 'value',
				...axes(colours),
				axisLabel: { color: colours.soft, fontFamily: font, formatter: `{value}${unit}` }
			},
			series: rows.map(({ name, values }, at) => ({
				type: kind,
				name,
				...(kind === 'bar' ? { stack: 'all' } : {}),
				data: [...values],
				symbol: ['circle', 'rect', 'triangle', 'diamond', 'pin', 'arrow'][at % 6],
				symbolSize: 7,
				itemStyle: {
					color:
						kind === 'line'
							? inks[at % 4]
							: rows.length === 1
								? colours.accent
								: colours.levels[at % 6]
				},
				lineStyle: {
					color: inks[at % 4],
					type: (['solid', 'dashed', 'dotted'] as const)[Math.floor(at / 4) % 3]
				}
			}))
		};
	};
}
