import {
  newKeySchema,
  offerWantedSchema,
  type LanState,
  type PairingOffer,
  type ProgramKey,
} from '@urvek/contract';
import { Router } from 'express';
import { jsonBody } from '../api/body.ts';
import { STRICT } from '../api/parts.ts';
import { requires, whoOf } from '../api/who.ts';
import { NotFound, type Storage } from '../storage/port.ts';
import type { Devices } from './devices.ts';
import type { Network } from './network.ts';

/** Pairing, devices and keys of programs: for pages of this very machine, never for a paired one. */
export function lanRouter(devices: Devices, storage: Storage, network: Network | undefined): Router {
  const router = Router();
  const open = (): Network => {
    if (!network) throw new NotFound('this Urvek serves on loopback only; start it with: npm start -- --lan');
    return network;
  };
  router.use(requires('owner'));
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
  router.post('/keys', jsonBody({ bytes: 1000, values: 10 }), async (request, response) => {
    const { name, role } = await newKeySchema.validate(request.body, STRICT);
    const made: ProgramKey = { key: await devices.add(name, role) };
    await storage.note(whoOf(response).name, `made a key for “${name}”, ${role}`);
    response.status(201).json(made);
  });
  router.delete('/devices/:id', async (request, response) => {
    const device = (await devices.list()).find((d) => d.id === request.params.id);
    if (!device) throw new NotFound(`no device ${request.params.id}`);
    await devices.revoke(device.id);
    await storage.note(whoOf(response).name, `revoked “${device.name}”`);
    response.status(204).end();
  });
  return router;
}
