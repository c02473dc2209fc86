import { Agent, request } from 'node:http';

/** The browsers of a school, as far as the server can tell, and what they counted. */
export class LoadClient {
  #address;
  #agent = new Agent({ keepAlive: true, maxSockets: 96, scheduling: 'lifo', timeout: 10_000 });
  counts = { events: 0, requests: 0, errors: 0 };

  constructor(address) {
    this.#address = address;
  }

  /** Asks as somebody. What fails is counted, and answered with nothing. */
  ask(person, method, path, body) {
    const began = performance.now();
    const text = body === undefined ? undefined : JSON.stringify(body);
    this.counts.requests += 1;
    return new Promise((resolve) => {
      const failed = (why) => {
        this.counts.errors += 1;
        if (this.counts.errors < 5) console.error(method, path, why);
        resolve({ ms: performance.now() - began, body: null });
      };
      const asked = request(this.#address + path, {
        method,
        agent: this.#agent,
        headers: {
          cookie: person.cookie,
          'x-person': person.id,
          origin: this.#address,
          ...(text === undefined
            ? {}
            : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) }),
        },
      });
      asked.on('response', (answer) => {
        const parts = [];
        answer.on('data', (part) => parts.push(part));
        answer.on('end', () => {
          const ms = performance.now() - began;
          const said = Buffer.concat(parts).toString();
          if (answer.statusCode !== 200) return failed(`${answer.statusCode} ${said}`);
          resolve({ ms, body: JSON.parse(said) });
        });
        answer.on('error', failed);
      });
      asked.on('error', failed);
      asked.end(text);
    });
  }

  /** An open page: it hears what changed. */
  open(person, hear) {
    return new Promise((resolve, reject) => {
      const asked = request(`${this.#address}/api/events`, {
        agent: false,
        headers: { cookie: person.cookie, 'x-person': person.id },
      });
      asked.on('response', (answer) => {
        if (answer.statusCode !== 200)
          return reject(new Error(`a stream was answered with ${answer.statusCode}`));
        let rest = '';
        answer.on('data', (part) => {
          const lines = (rest + part).split('\n\n');
          rest = lines.pop();
          for (const line of lines)
            if (line.startsWith('data: ')) {
              this.counts.events += 1;
              hear(JSON.parse(line.slice(6)));
            }
        });
        answer.on('error', () => undefined);
        resolve(asked);
      });
      asked.on('error', () => undefined);
      asked.end();
    });
  }
}
