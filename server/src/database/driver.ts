import pg from 'pg';

/** A connection whose end is always heard: where nobody listens, an error ends the process. */
class HeardClient extends pg.Client {
  constructor(settings?: pg.ClientConfig) {
    super(settings);
    this.on('error', () => undefined);
  }
}

/**
 * The driver as Sequelize uses it. By itself it listens from a moment after it has connected; a database that ends within that
 * moment would take the process with it.
 */
export const driver = Object.create(pg, { Client: { value: HeardClient } }) as typeof pg;
