import { waitFor } from '@testing-library/react';

/** Stands in for the stream of what changed; a test speaks for the server. */
export class Stream {
  static streams: Stream[] = [];
  onopen: (() => void) | null = null;
  onerror: (() => void) | null = null;
  onmessage: ((event: { data: string }) => void) | null = null;
  constructor() {
    Stream.streams.push(this);
  }
  /** The one that was opened last. */
  static latest(): Stream {
    const stream = Stream.streams.at(-1);
    if (!stream) throw new Error('Nobody listens.');
    return stream;
  }
  /** The same, once there is one: it is opened a little later than the page is there. */
  static opened(): Promise<Stream> {
    return waitFor(() => Stream.latest());
  }
  say(event: object) {
    this.onmessage?.({ data: JSON.stringify(event) });
  }
  close() {
    Stream.streams = Stream.streams.filter((own) => own !== this);
  }
}
