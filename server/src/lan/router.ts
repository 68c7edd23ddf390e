import { offerWantedSchema, type LanState, type PairingOffer } from '@urvek/contract';
import { Router } from 'express';
import { jsonBody } from '../api/body.ts';
import { STRICT } from '../api/parts.ts';
import { whoOf } from '../api/who.ts';
import { NotFound, type Storage } from '../storage/port.ts';
import type { Devices } from './devices.ts';
import type { Network } from './network.ts';

/** Pairing and devices: for pages of this very machine, never for a paired one. */
export function lanRouter(devices: Devices, storage: Storage, network: Network | undefined): Router {
  const router = Router();
  const open = (): Network => {
    if (!network) throw new NotFound('this Urvek serves on loopback only; start it with: npm start -- --lan');
    return network;
  };
  router.get('/', async (_request, response) => {
    const state: LanState = {
      addresses: network?.urls ?? [],
      freshAuthority: network?.freshAuthority ?? false,
      changed: network?.changed() ?? { got: [], lost: [] },
      devices: await devices.list(),
      trail: await storage.trail(),
    };
    response.json(state);
  });
  router.post('/offers', jsonBody({ bytes: 1000, values: 10 }), async (request, response) => {
    const { pairing, urls } = open();
    const { role } = await offerWantedSchema.validate(request.body, STRICT);
    const { code, secret, untilMs } = await pairing.offer(role);
    await storage.note(whoOf(response).name, `made a code to pair, ${role}`);
    const offer: PairingOffer = { code, untilMs, links: urls.map((url) => `${url}pair#${secret}`) };
    response.status(201).json(offer);
  });
  router.get(
    '/authority.crt',
    (_request, response) =>
      void response
        .type('application/x-x509-ca-cert')
        .attachment('urvek-authority.crt')
        .send(open().certificatePem),
  );
  router.delete('/devices/:id', async (request, response) => {
    const device = (await devices.list()).find((d) => d.id === request.params.id);
    if (!device) throw new NotFound(`no device ${request.params.id}`);
    await devices.revoke(device.id);
    await storage.note(whoOf(response).name, `revoked “${device.name}”`);
    response.status(204).end();
  });
  return router;
}
