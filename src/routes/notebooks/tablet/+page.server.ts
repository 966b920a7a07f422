import { toString as qrOf } from 'qrcode';
import { openOffer } from '$lib/server/network/pairing';
import { sharedAddresses, sharedBy } from '$lib/server/network/shared';
import { sharing } from '$lib/server/network/sharing';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, platform }) => {
	const addresses = sharedAddresses();
	const offer = sharedBy(platform?.req) ? undefined : openOffer(Date.now());
	const [address] = addresses;
	return {
		addresses,
		canShare: sharing() !== undefined,
		onTablet: sharedBy(platform?.req) !== undefined,
		devices: await locals.store.devices.all(),
		offer: offer && {
			...offer,
			picture: await qrOf(`http://${address}/pair?code=${offer.code}`, { type: 'svg', margin: 2 })
		}
	};
};
