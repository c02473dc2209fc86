import type { BoardAnswer } from '@green-beam/contract';

type Topic = NonNullable<BoardAnswer['worthFiveMinutes']>;

/** The one misconception that most of the class shares this week. */
export function WorthFiveMinutes({
  topic,
  instruments,
}: {
  readonly topic: Topic;
  readonly instruments: BoardAnswer['instruments'];
}) {
  const instrument = instruments.find(({ kind }) => kind === topic.kind)?.name ?? topic.kind;
  const count = topic.students.length;
  return (
    <section aria-label="Worth five minutes" className="mb-6 border-l-4 border-brass-line pl-4">
      <h2>Worth five minutes: {inTheirWords(topic.title)}</h2>
      <p>
        {count} students this week, with the {instrument}. <span className="text-soft">{topic.hint}</span>
      </p>
      <p className="text-sm text-soft">{topic.students.join(', ')}</p>
    </section>
  );
}

/** `You read the top of the curve.` → `they read the top of the curve` */
const inTheirWords = (title: string): string =>
  title.replace(/^You(r)?/, (_, r: string | undefined) => (r ? 'their' : 'they')).replace(/\.$/, '');
