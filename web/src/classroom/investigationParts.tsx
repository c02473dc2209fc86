import {
  errorCauses,
  instruments,
  type AskedPrediction,
  type AskedQuestion,
  type Column,
  type Investigation,
  type KitItem,
  type MethodStep,
  type ResultPlan,
  type Table,
} from '@green-beam/core';
import { ChoiceField, ListField, TextField } from '../ui/fields';

interface Part {
  readonly body: Investigation;
  readonly change: (part: Partial<Investigation>) => void;
}

export function About({ body, change }: Part) {
  return (
    <section aria-label="About" className="grid gap-3 sm:grid-cols-2">
      <TextField label="Title" value={body.title} onChange={(title) => change({ title })} />
      <TextField label="Object" value={body.object} onChange={(object) => change({ object })} />
      <TextField
        label="Aim"
        long
        value={body.aim}
        onChange={(aim) => change({ aim })}
        className="sm:col-span-2"
      />
      <TextField
        label="Why this route"
        long
        value={body.route}
        onChange={(route) => change({ route })}
        className="sm:col-span-2"
      />
      <ChoiceField
        label="Numbers that the teacher supplies"
        value={String(body.supplied)}
        choices={[
          ['true', 'may stand in a trial, marked as supplied'],
          ['false', 'are refused'],
        ]}
        onChange={(value) => change({ supplied: value === 'true' })}
      />
      <ChoiceField
        label="Second look"
        value={body.secondLook}
        choices={[
          ['students', 'students see it before they hand in'],
          ['teacher', 'only staff see it'],
        ]}
        onChange={(value) => change({ secondLook: value as Investigation['secondLook'] })}
      />
    </section>
  );
}

const kinds = instruments.map(({ kind, name }) => [kind, name] as const);

export function KitPart({ body, change }: Part) {
  return (
    <ListField<KitItem>
      title="Kit"
      one="piece"
      items={body.kit}
      blank={{ tag: '', kind: 'graduated-cylinder', model: 'cylinder-100-1' }}
      onChange={(kit) => change({ kit })}
    >
      {(item, set) => (
        <div className="grid gap-3 sm:grid-cols-[7rem_1fr_1fr_8rem]">
          <TextField label="Tag" mono value={item.tag} onChange={(tag) => set({ tag })} />
          <ChoiceField
            label="Kind"
            value={item.kind}
            choices={kinds}
            onChange={(kind) =>
              set({
                kind: kind as KitItem['kind'],
                model: instruments.find((own) => own.kind === kind)?.models[0]?.id ?? '',
              })
            }
          />
          <ChoiceField
            label="Make"
            value={item.model}
            choices={(instruments.find(({ kind }) => kind === item.kind)?.models ?? []).map(
              ({ id, name }) => [id, name] as const,
            )}
            onChange={(model) => set({ model })}
          />
          <TextField
            label="Zero may be off by"
            mono
            value={item.offset ?? ''}
            onChange={(offset) => set({ offset: offset === '' ? undefined : offset })}
          />
        </div>
      )}
    </ListField>
  );
}

export function StepsPart({ body, change }: Part) {
  return (
    <ListField<MethodStep>
      title="Method"
      one="step"
      items={body.steps}
      blank={{ text: '' }}
      onChange={(steps) => change({ steps })}
    >
      {(step, set) => (
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField
            label="What is done"
            long
            value={step.text}
            onChange={(text) => set({ text })}
            className="sm:col-span-2"
          />
          <TextField
            label="Precaution: which error it prevents"
            value={step.precaution ?? ''}
            onChange={(text) => set({ precaution: text === '' ? undefined : text })}
          />
          <TextField
            label="Caution: what protects people"
            value={step.caution ?? ''}
            onChange={(text) => set({ caution: text === '' ? undefined : text })}
          />
          <TextField
            label="Minutes of waiting"
            value={step.waitMinutes === undefined ? '' : String(step.waitMinutes)}
            onChange={(text) => set({ waitMinutes: /^\d+$/.test(text) ? Number(text) : undefined })}
          />
        </div>
      )}
    </ListField>
  );
}

export function TablesPart({ body, change }: Part) {
  return (
    <ListField<Table>
      title="Tables"
      one="table"
      items={body.tables}
      blank={{ key: `table${body.tables.length + 1}`, title: 'Trials', trials: 3, columns: [] }}
      onChange={(tables) => change({ tables })}
    >
      {(table, set) => (
        <div className="flex flex-col gap-3">
          <div className="grid gap-3 sm:grid-cols-[1fr_8rem]">
            <TextField label="Title" value={table.title} onChange={(title) => set({ title })} />
            <TextField
              label="Trials wanted"
              value={String(table.trials)}
              onChange={(text) => set({ trials: Number(text.replace(/\D/g, '')) || 0 })}
            />
          </div>
          <div className="border-l-2 border-rule pl-4">
            <ListField<Column>
              title={`Columns of ${table.title.toLowerCase()}`}
              one="column"
              items={table.columns}
              blank={{
                kind: 'measured',
                key: '',
                heading: '',
                symbol: '',
                unit: '',
                tag: body.kit[0]?.tag ?? '',
              }}
              onChange={(columns) => set({ columns })}
            >
              {(column, _, replace) => <ColumnFields column={column} kit={body.kit} set={replace} />}
            </ListField>
          </div>
        </div>
      )}
    </ListField>
  );
}

const columnKinds = [
  ['measured', 'read from an instrument'],
  ['derived', 'a formula'],
  ['count', 'a count'],
  ['clock', 'a time of day'],
] as const;

function ColumnFields({
  column,
  kit,
  set,
}: {
  readonly column: Column;
  readonly kit: readonly KitItem[];
  readonly set: (column: Column) => void;
}) {
  const unitOfTag = (tag: string) => {
    const item = kit.find((own) => own.tag === tag);
    return (
      instruments.find(({ kind }) => kind === item?.kind)?.models.find(({ id }) => id === item?.model)
        ?.unit ?? ''
    );
  };
  const { key, heading, symbol } = column;
  const head = { key, heading, symbol };
  const unit = column.kind === 'clock' ? '' : column.unit;
  const turn: Record<Column['kind'], () => Column> = {
    measured: () => ({
      ...head,
      kind: 'measured',
      unit: unitOfTag(kit[0]?.tag ?? ''),
      tag: kit[0]?.tag ?? '',
    }),
    derived: () => ({ ...head, kind: 'derived', unit, formula: '', by: 'app' }),
    count: () => ({ ...head, kind: 'count', unit: '' }),
    clock: () => ({ ...head, kind: 'clock' }),
  };
  return (
    <div className="grid gap-3 sm:grid-cols-[1fr_7rem_7rem_11rem]">
      <TextField label="Heading" value={heading} onChange={(text) => set({ ...column, heading: text })} />
      <TextField
        label="Name in formulas"
        mono
        value={key}
        onChange={(text) => set({ ...column, key: text })}
      />
      <TextField label="Symbol" value={symbol} onChange={(text) => set({ ...column, symbol: text })} />
      <ChoiceField
        label="Kind"
        value={column.kind}
        choices={columnKinds}
        onChange={(kind) => set(turn[kind as Column['kind']]())}
      />
      {column.kind === 'measured' && (
        <ChoiceField
          label="Read on"
          value={column.tag}
          choices={kit.map(({ tag }) => [tag, tag] as const)}
          onChange={(tag) => set({ ...column, tag, unit: unitOfTag(tag) })}
        />
      )}
      {column.kind === 'derived' && (
        <>
          <TextField
            label="Formula"
            mono
            value={column.formula}
            onChange={(formula) => set({ ...column, formula })}
          />
          <TextField label="Unit" value={column.unit} onChange={(text) => set({ ...column, unit: text })} />
          <ChoiceField
            label="Worked by"
            value={column.by}
            choices={[
              ['app', 'Green Beam'],
              ['student', 'the student, and checked'],
            ]}
            onChange={(by) => set({ ...column, by: by as 'app' | 'student' })}
            className="sm:col-span-2"
          />
        </>
      )}
      {column.kind === 'count' && (
        <TextField label="Unit" value={column.unit} onChange={(text) => set({ ...column, unit: text })} />
      )}
    </div>
  );
}

export function ResultsPart({ body, change }: Part) {
  const columns = body.tables.flatMap((table) => table.columns);
  const names = columns.map(({ key, heading }) => [key, `${heading} (${key})`] as const);
  return (
    <ListField<ResultPlan>
      title="Results"
      one="result"
      items={body.results}
      blank={{
        kind: 'mean',
        key: `result${body.results.length + 1}`,
        name: '',
        symbol: '',
        unit: '',
        column: columns.at(-1)?.key ?? '',
        accepted: null,
      }}
      onChange={(results) => change({ results })}
    >
      {(plan, _, replace) => <ResultFields plan={plan} names={names} set={replace} />}
    </ListField>
  );
}

function ResultFields({
  plan,
  names,
  set,
}: {
  readonly plan: ResultPlan;
  readonly names: readonly (readonly [string, string])[];
  readonly set: (plan: ResultPlan) => void;
}) {
  const { key, name, symbol, unit, accepted } = plan;
  const head = { key, name, symbol, unit, accepted };
  const [first = ''] = names.map(([own]) => own);
  const turn: Record<ResultPlan['kind'], () => ResultPlan> = {
    mean: () => ({ ...head, kind: 'mean', column: first }),
    value: () => ({ ...head, kind: 'value', formula: '' }),
    line: () => ({ ...head, kind: 'line', x: first, y: first, throughOrigin: false, gives: 'slope' }),
  };
  return (
    <div className="grid gap-3 sm:grid-cols-4">
      <TextField label="Name" value={name} onChange={(text) => set({ ...plan, name: text })} />
      <TextField label="Symbol" value={symbol} onChange={(text) => set({ ...plan, symbol: text })} />
      <TextField label="Unit" value={unit} onChange={(text) => set({ ...plan, unit: text })} />
      <ChoiceField
        label="Kind"
        value={plan.kind}
        choices={[
          ['mean', 'mean of a column'],
          ['value', 'formula over means'],
          ['line', 'straight line'],
        ]}
        onChange={(kind) => set(turn[kind as ResultPlan['kind']]())}
      />
      {plan.kind === 'mean' && (
        <ChoiceField
          label="Column"
          value={plan.column}
          choices={names}
          onChange={(column) => set({ ...plan, column })}
        />
      )}
      {plan.kind === 'value' && (
        <TextField
          label="Formula"
          mono
          value={plan.formula}
          onChange={(formula) => set({ ...plan, formula })}
        />
      )}
      {plan.kind === 'line' && (
        <>
          <ChoiceField label="x" value={plan.x} choices={names} onChange={(x) => set({ ...plan, x })} />
          <ChoiceField label="y" value={plan.y} choices={names} onChange={(y) => set({ ...plan, y })} />
          <ChoiceField
            label="It gives"
            value={plan.gives}
            choices={[
              ['slope', 'its slope'],
              ['y', 'the y at an x'],
              ['x', 'the x at a y'],
            ]}
            onChange={(gives) => set({ ...plan, gives: gives as 'slope' | 'y' | 'x' })}
          />
          <ChoiceField
            label="Through the origin"
            value={String(plan.throughOrigin)}
            choices={[
              ['false', 'no'],
              ['true', 'yes'],
            ]}
            onChange={(value) => set({ ...plan, throughOrigin: value === 'true' })}
          />
          {plan.gives !== 'slope' && (
            <TextField
              label="Asked at"
              mono
              value={plan.at ?? ''}
              onChange={(text) => set({ ...plan, at: text })}
            />
          )}
        </>
      )}
      <TextField
        label="Accepted value"
        mono
        value={accepted?.value ?? ''}
        onChange={(value) =>
          set({ ...plan, accepted: value === '' ? null : { source: accepted?.source ?? '', value, unit } })
        }
      />
      {accepted && (
        <TextField
          label="Its source"
          value={accepted.source}
          onChange={(source) => set({ ...plan, accepted: { ...accepted, source } })}
          className="sm:col-span-2"
        />
      )}
    </div>
  );
}

export function QuestionsPart({ body, change }: Part) {
  return (
    <>
      <ListField<AskedPrediction>
        title="Predictions asked beforehand"
        one="prediction"
        items={body.predictions}
        blank={{
          key: `p${body.predictions.length + 1}`,
          text: '',
          unit: body.results[0]?.unit ?? '',
          result: body.results[0]?.key ?? '',
        }}
        onChange={(predictions) => change({ predictions })}
      >
        {(prediction, set) => (
          <div className="grid gap-3 sm:grid-cols-[1fr_14rem]">
            <TextField label="Question" value={prediction.text} onChange={(text) => set({ text })} />
            <ChoiceField
              label="Compared with"
              value={prediction.result}
              choices={body.results.map(({ key, name }) => [key, name] as const)}
              onChange={(result) =>
                set({ result, unit: body.results.find(({ key }) => key === result)?.unit ?? prediction.unit })
              }
            />
          </div>
        )}
      </ListField>
      <ListField<AskedQuestion>
        title="Questions"
        one="question"
        items={body.questions}
        blank={{ key: `q${body.questions.length + 1}`, when: 'after', kind: 'text', text: '' }}
        onChange={(questions) => change({ questions })}
      >
        {(question, set) => (
          <div className="grid gap-3 sm:grid-cols-[1fr_9rem_12rem]">
            <TextField label="Question" long value={question.text} onChange={(text) => set({ text })} />
            <ChoiceField
              label="When"
              value={question.when}
              choices={[
                ['before', 'before'],
                ['after', 'after'],
              ]}
              onChange={(when) => set({ when: when as AskedQuestion['when'] })}
            />
            <ChoiceField
              label="Kind"
              value={question.kind}
              choices={[
                ['text', 'answered in words'],
                ['statement', 'called true, or put right'],
              ]}
              onChange={(kind) => set({ kind: kind as AskedQuestion['kind'] })}
            />
          </div>
        )}
      </ListField>
      <fieldset>
        <legend className="mb-2 text-[1.15rem] font-bold">Causes of error that belong to it</legend>
        <ul className="grid gap-x-6 sm:grid-cols-2">
          {errorCauses.map(({ code, cause }) => (
            <li key={code}>
              <label className="flex gap-2">
                <input
                  type="checkbox"
                  checked={body.causes.includes(code)}
                  onChange={({ target: { checked } }) =>
                    change({
                      causes: checked ? [...body.causes, code] : body.causes.filter((own) => own !== code),
                    })
                  }
                />
                {cause}
              </label>
            </li>
          ))}
        </ul>
      </fieldset>
    </>
  );
}
