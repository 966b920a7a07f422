import { frame, type Mark, type TintMark } from '../draw';
import { fitLettering, letters } from '../hand';
import { monthName } from '../month';
import { pageSize, ranked, tooSmall, type Form, type Setting } from './form';
import { miniMonthMarks, miniMonthSize } from './mini-month';
import { letteringMarks } from './title-band';
import { move } from '../draw';

/** Rows around the title: one above, up to six for the letters, one below. */
const letterRows = 6;
const titleBand = letterRows + 2;
const gap = 1;
const leastArt = 3;

function leastSize(setting: Setting) {
	const mini = miniMonthSize(setting, 1, false);
	return { w: mini.w, h: titleBand + leastArt + gap + mini.h };
}

/**
 * Month cover: title lettering at the top, the mini calendar at the foot, everything between them free
 * for a picture. It fills the page it is given. The mini calendar has cells of 2 squares where they
 * leave at least a third of the height to the picture, else 1.
 */
export const cover: Form = {
	id: 'cover',
	name: 'Cover',
	spans: ['page'],
	fields: ['title', 'square'],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const least = leastSize(setting);
		if (there.w < least.w || there.h < least.h)
			return ranked([], () => tooSmall('A cover', least, there));
		const large = miniMonthSize(setting, 2, false);
		const c =
			setting.wish.cell?.w ??
			(large.w <= there.w && 3 * (titleBand + gap + large.h) <= 2 * there.h ? 2 : 1);
		const mini = miniMonthSize(setting, c, false);
		const art = there.h - titleBand - gap - mini.h;
		if (mini.w > there.w || art < leastArt)
			return ranked([], () =>
				tooSmall('A cover', { w: mini.w, h: titleBand + leastArt + gap + mini.h }, there)
			);
		const word = (setting.wish.title ?? monthName(setting.locale, setting.month)).toUpperCase();
		const fit = fitLettering(letters(word).length, there.w, letterRows);
		return ranked(
			[
				{
					room: { span: 'page', ...there },
					discomfort: 0,
					stretches: true,
					facts: {
						cell: { w: c, h: c },
						title: titleBand,
						letter: fit?.letter,
						used: fit?.used,
						gap: fit?.gap,
						rows: setting.month.weeks,
						days: setting.month.days,
						weeks: setting.month.weeks,
						lead: setting.month.lead
					},
					why: [
						...(fit
							? [
									`${letters(word).length} letters of ${fit.letter} with gaps of ${fit.gap} = ${fit.used} of ${there.w} across`
								]
							: []),
						`title ${titleBand} + picture ${art} + gap ${gap} + calendar ${mini.h} = ${there.h} down`
					],
					marks: () => {
						const picture: TintMark = {
							kind: 'tint',
							tone: 'art',
							x: 0,
							y: titleBand,
							w: there.w,
							h: art
						};
						const at = { x: Math.floor((there.w - mini.w) / 2), y: there.h - mini.h };
						const marks: Mark[] = [
							picture,
							...frame(picture),
							...letteringMarks(word, { x: 0, y: 1, w: there.w, h: letterRows })
						];
						for (const mark of miniMonthMarks(setting, c, { x: 0, y: 0 }))
							marks.push(move(mark, at));
						return [marks];
					}
				}
			],
			() => tooSmall('A cover', least, there)
		);
	}
};
