const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/**
 * What a teacher does while others write: classes with students are made, put away and deleted for good, and the class that is
 * written in is saved whole, again and again, through all the kills.
 */
export class Besides {
  counts = { deleted: 0, saved: 0 };
  #stopped = false;
  #work;

  /** @param teacher a browser of the demo's teacher */
  constructor(teacher) {
    this.#work = Promise.all([this.#deletes(teacher), this.#saves(teacher)]);
  }

  async stop() {
    this.#stopped = true;
    await this.#work;
    return this.counts;
  }

  async #deletes(teacher) {
    for (let nth = 0; !this.#stopped; nth += 1) {
      const name = `Passing ${nth}`;
      const made = await insist(() => teacher.send('/api/classes', { name }));
      const { id } = await made.json().catch(() => ({}));
      // Made, and the answer was cut off: it is left as it is.
      if (!id) continue;
      const at = `/api/classes/${id}`;
      await insist(() => teacher.send(`${at}/students`, { names: ['Ivo Lark', 'Una Teal', 'Pia Knot'] }));
      await insist(() => teacher.send(at, { putAway: true, name }));
      const { status } = await insist(() => teacher.send(`${at}/deletion`, { name }));
      // Gone already: the answer to the one before was cut off.
      if (status === 200 || status === 403 || status === 404) this.counts.deleted += 1;
      await pause(100);
    }
  }

  async #saves(teacher) {
    const { who } = await teacher.get('/api/session');
    const demo = who.classes[0].id;
    while (!this.#stopped) {
      const answer = await teacher.fetch(`/api/classes/${demo}/everything`).catch(() => null);
      const bytes = answer?.ok ? await answer.arrayBuffer().catch(() => null) : null;
      if (bytes && bytes.byteLength > 0) this.counts.saved += 1;
      await pause(1_000);
    }
  }
}

/** Sends until it is answered by a server that can. */
async function insist(send) {
  for (;;) {
    const answer = await send().catch(() => null);
    if (answer && answer.status < 500 && answer.status !== 429) return answer;
    await pause(200);
  }
}
