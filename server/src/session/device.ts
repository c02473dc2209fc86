import { isId } from '@green-beam/contract';
import type { Request } from 'express';
import { createHmac, randomUUID, timingSafeEqual } from 'node:crypto';
import { hashOf } from './store';

/** Marks of browsers, signed: one that somebody made up is none. */
export class DeviceMarks {
  readonly #secret: string;
  readonly #name: string;

  /** @param name of the cookie */
  constructor(secret: string, name: string) {
    this.#secret = secret;
    this.#name = name;
  }

  /** A mark for a browser that has none. */
  make(): string {
    const id = randomUUID();
    return `${id}.${this.#signatureOf(id)}`;
  }

  /** The id in the mark of a request; undefined without one of ours. */
  in(request: Request): string | undefined {
    const [, id = '', signature = ''] =
      new RegExp(`(?:^|; )${this.#name}=([0-9a-f-]{36})\\.([\\w-]{43})(?:;|$)`).exec(
        request.get('cookie') ?? '',
      ) ?? [];
    const right = isId(id) && timingSafeEqual(Buffer.from(signature), Buffer.from(this.#signatureOf(id)));
    return right ? id : undefined;
  }

  /** Which browser this is. All callers without a mark behind one address are one. */
  of(request: Request): string {
    return this.in(request) ?? idFrom(hashOf(request.ip ?? 'unknown'));
  }

  #signatureOf(id: string): string {
    return createHmac('sha256', this.#secret).update(`device ${id}`).digest('base64url');
  }
}

const idFrom = (hex: string): string =>
  `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
