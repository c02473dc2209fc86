import type { LiveEvent } from '@green-beam/contract';

type Reader = ReadableStreamDefaultReader<Uint8Array>;
const rests = new WeakMap<Reader, string>();

/** The next event of a kind that a stream tells of; undefined once it has ended, or after so long. */
export async function nextEvent(
  stream: Reader,
  kind: LiveEvent['changed'],
  withinMs = 30_000,
): Promise<LiveEvent | undefined> {
  const until = Date.now() + withinMs;
  let text = rests.get(stream) ?? '';
  for (;;) {
    for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
      const line = text.slice(0, end);
      text = text.slice(end + 2);
      rests.set(stream, text);
      if (!line.startsWith('data: ')) continue;
      const event = JSON.parse(line.slice(6)) as LiveEvent;
      if (event.changed === kind) return event;
    }
    const left = until - Date.now();
    if (left <= 0) return undefined;
    const part = await Promise.race([
      stream.read(),
      new Promise<undefined>((resolve) => setTimeout(() => resolve(undefined), left)),
    ]);
    if (!part || part.done) return undefined;
    text += new TextDecoder().decode(part.value);
  }
}
