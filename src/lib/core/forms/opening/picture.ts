import type { Mark } from '../../draw';
import type { Size } from '../../paper';
import { framed, framedAs } from '../form/framed';
import { openChoice, type Ruled } from '../form/rule';
import { pageForm } from '../form/form';

const outline = framedAs('none');

const extent = openChoice({
	name: 'extent',
	label: 'It takes',
	options: [
		['room', 'all of its room'],
		['band', 'a band across'],
		['corner', 'a corner'],
		['small', 'a few squares']
	]
});

const effort = openChoice({
	name: 'effort',
	label: 'How elaborate',
	options: [
		['sketch', 'a sketch, 5 minutes'],
		['small', 'small, 15 minutes'],
		['half', 'half a page, 40 minutes'],
		['page', 'a page, 90 minutes']
	],
	unsaid: 'by its size'
});

const medium = openChoice({
	name: 'medium',
	label: 'Drawn with',
	options: [
		['line', 'lines only'],
		['water', 'water colour'],
		['marker', 'markers'],
		['crayon', 'crayons'],
		['stamp', 'stamps'],
		['glued', 'cut out and glued in']
	],
	unsaid: 'whatever lies at hand'
});

/** From memory of people who draw in their journals; what one's own hand takes is learnt from what is ticked. */
const minutes = { sketch: 5, small: 15, half: 40, page: 90 } as const;
/** Squares up to which a picture is small, and half a page. */
const smallArea = 150;
const halfArea = 600;

/** Minutes that a picture in so many squares takes: as it says, or by its size. */
export function minutesOfPicture(ruled: Ruled, { w, h }: Size): number {
	const said = effort.of(ruled);
	if (said) return minutes[said];
	if (w * h <= smallArea) return minutes.small;
	return w * h <= halfArea ? minutes.half : minutes.page;
}

/** A picture in less than this is a dot. */
const least = 4;

/**
 * Squares kept for a picture: all of its room, a band of 8 across, a corner of 12 × 12 or a few squares; its motif in words is told
 * beside the page, never written on it. (Common practice.)
 */
export const picture = pageForm({
	id: 'picture',
	name: 'Picture',
	content: ['text'],
	rules: [outline, extent, effort, medium],
	layouts: (setting, there) => {
		const sizes: Record<'room' | 'band' | 'corner' | 'small', Size> = {
			room: there,
			band: { w: there.w, h: 8 },
			corner: { w: 12, h: 12 },
			small: { w: 7, h: 7 }
		};
		const wanted = extent.of(setting);
		const ways = wanted ? [wanted] : (['room', 'band', 'corner'] as const);
		return ways.flatMap((way, at) => {
			const size = sizes[way];
			if (Math.min(size.w, size.h) < least) return [];
			const rect = { x: 0, y: 0, ...size };
			const framing = outline.of(setting);
			const tools = medium.options.find(({ value }) => value === medium.of(setting))?.label;
			const motif = setting.content.text ? `${setting.content.text}: ` : '';
			return [
				{
					size,
					discomfort: 10 * at,
					stretches: way === 'room',
					facts: {},
					why: [
						`${motif}${size.w} × ${size.h} squares, ${minutesOfPicture(setting, size)} minutes${tools ? `, ${tools}` : ''}`
					],
					marks: (): Mark[] => [
						...(framing === 'none' || framing === 'rectangle'
							? [{ kind: 'tint', tone: 'art', ...rect } as const]
							: []),
						...framed(rect, framing)
					]
				}
			];
		});
	}
});
