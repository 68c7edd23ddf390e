import type { LanState, PairingOffer } from '@urvek/contract';
import { Router } from 'express';
import { NotFound } from '../storage/port.ts';
import type { Devices } from './devices.ts';
import type { Network } from './network.ts';

/** Pairing and devices: for pages of this very machine, never for a paired one. */
export function lanRouter(devices: Devices, network: Network | undefined): Router {
  const router = Router();
  const open = (): Network => {
    if (!network) throw new NotFound('this Urvek serves on loopback only; start it with: npm start -- --lan');
    return network;
  };
  router.get('/', async (_request, response) => {
    const state: LanState = {
      addresses: network?.urls ?? [],
      freshAuthority: network?.freshAuthority ?? false,
      devices: await devices.list(),
    };
    response.json(state);
  });
  router.post('/offers', (_request, response) => {
    const { pairing, urls } = open();
    const { code, secret, untilMs } = pairing.offer();
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
    if (!(await devices.list()).some((d) => d.id === request.params.id))
      throw new NotFound(`no device ${request.params.id}`);
    await devices.revoke(request.params.id);
    response.status(204).end();
  });
  return router;
}
