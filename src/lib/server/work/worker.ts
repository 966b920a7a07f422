import { tasks, type Job } from './tasks';

/** A job for this thread; `started` is set when it is begun. */
export type ThreadJob = Job & { readonly started: Int32Array<SharedArrayBuffer> };

/** Does a job in a thread of the pool. */
export default function work(job: ThreadJob): Promise<unknown> {
	Atomics.store(job.started, 0, 1);
	Atomics.notify(job.started, 0);
	switch (job.name) {
		case 'check':
			return tasks.check(job.input);
		case 'run':
			return tasks.run(job.input);
		case 'answer':
			return tasks.answer(job.input);
		case 'sheet':
			return tasks.sheet(job.input);
		case 'making':
			return tasks.making(job.input);
		case 'unpack':
			return tasks.unpack(job.input);
		case 'font':
			return tasks.font(job.input);
	}
}
