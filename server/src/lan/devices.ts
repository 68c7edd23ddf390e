import type { DeviceRole, PairedDevice } from '@urvek/contract';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { IsNull, type DataSource } from 'typeorm';
import type { Who } from '../api/who.ts';
import type { Clock } from '../clock.ts';
import { deviceEntity } from '../storage/postgres/entities.ts';

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Devices that were paired, and programs that were given a key; of their tokens only a hash is kept. */
export class Devices {
  constructor(
    private readonly database: DataSource,
    private readonly clock: Clock,
  ) {}

  /** A new device's token: 256 bits, told once. */
  async add(name: string, role: DeviceRole): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const now = this.clock.now();
    await this.database.getRepository(deviceEntity).insert({
      id: randomUUID(),
      name,
      role,
      tokenHash: hashOf(token),
      pairedAt: now,
      seenAt: now,
      revokedAt: null,
    });
    return token;
  }

  /** The device of a token, where it is paired and not revoked. */
  async known(token: string): Promise<Who | undefined> {
    const of = { tokenHash: hashOf(token), revokedAt: IsNull() };
    const devices = this.database.getRepository(deviceEntity);
    const device = await devices.findOneBy(of);
    if (!device) return undefined;
    await devices.update(of, { seenAt: this.clock.now() });
    return { role: device.role, name: device.name, deviceId: device.id };
  }

  async list(): Promise<PairedDevice[]> {
    const rows = await this.database.getRepository(deviceEntity).find({ order: { pairedAt: 'ASC' } });
    return rows.map((r) => ({
      id: r.id,
      name: r.name,
      role: r.role,
      pairedMs: r.pairedAt.getTime(),
      seenMs: r.seenAt.getTime(),
      revoked: r.revokedAt !== null,
    }));
  }

  async revoke(id: string): Promise<void> {
    await this.database
      .getRepository(deviceEntity)
      .update({ id, revokedAt: IsNull() }, { revokedAt: this.clock.now() });
  }
}
