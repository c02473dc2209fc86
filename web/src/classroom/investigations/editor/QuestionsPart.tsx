import {
  errorCauses,
  questionsOfClaims,
  type AskedPrediction,
  type AskedQuestion,
  type FloatLiquid,
  type ResultPlan,
} from '@green-beam/core';
import { CheckField, TextField } from '../../../ui/fields';
import { Choice, List, Text, useAt } from './bound';

export function QuestionsPart() {
  return (
    <>
      <Predictions />
      <Questions />
      <Causes />
    </>
  );
}

function Predictions() {
  const [results] = useAt<readonly ResultPlan[]>('results');
  const [predictions] = useAt<readonly AskedPrediction[]>('predictions');
  const unitOf = (wanted: string) => results.find(({ key }) => key === wanted)?.unit;
  return (
    <List<AskedPrediction>
      name="predictions"
      title="Predictions asked beforehand"
      one="prediction"
      blank={{
        key: `p${predictions.length + 1}`,
        text: '',
        unit: results[0]?.unit ?? '',
        result: results[0]?.key ?? '',
      }}
    >
      {(prediction, place, replace) => (
        <div className="grid gap-3 sm:grid-cols-[1fr_14rem]">
          <Text name={`${place}.text`} label="Question" />
          <Choice
            name={`${place}.result`}
            label="Compared with"
            choices={results.map(({ key, name }) => [key, name] as const)}
            onChosen={(result) => replace({ ...prediction, result, unit: unitOf(result) ?? prediction.unit })}
          />
        </div>
      )}
    </List>
  );
}

function Questions() {
  const [questions] = useAt<readonly AskedQuestion[]>('questions');
  const [results] = useAt<readonly ResultPlan[]>('results');
  const compared = results.filter(
    (plan) => plan.kind === 'mean' && (plan.perRow ?? plan.perWord) !== undefined,
  );
  return (
    <List<AskedQuestion>
      name="questions"
      title="Questions"
      one="question"
      blank={{ key: `q${questions.length + 1}`, when: 'after', kind: 'text', text: '' }}
    >
      {(question, place, replace) => (
        <div className="grid gap-3 sm:grid-cols-[1fr_9rem_12rem]">
          <Text name={`${place}.text`} label="Question" long />
          <Choice
            name={`${place}.when`}
            label="When"
            choices={[
              ['before', 'before'],
              ['after', 'after'],
            ]}
          />
          <Choice
            name={`${place}.kind`}
            label="Kind"
            choices={[
              ['text', 'answered in words'],
              ['statement', 'called true, or put right'],
              ['floats', 'whether it floats'],
              ...(compared.length > 0 ? [['compares', 'which is best: a claim'] as const] : []),
            ]}
            onChosen={(kind) =>
              replace({
                ...question,
                kind: kind as AskedQuestion['kind'],
                liquid: undefined,
                compares:
                  kind === 'compares' && compared[0]
                    ? { of: compared[0].key, question: 'more accurate' }
                    : undefined,
              })
            }
          />
          {question.kind === 'compares' && (
            <div className="contents">
              <Choice
                name={`${place}.compares.of`}
                label="Of what"
                choices={compared.map(({ key, name }) => [key, name] as const)}
              />
              <Choice
                name={`${place}.compares.question`}
                label="By what"
                choices={questionsOfClaims.map((own) => [own, own] as const)}
              />
            </div>
          )}
          {question.kind === 'floats' && <LiquidFields name={`${place}.liquid`} />}
          <Text
            name={`${place}.answer`}
            label="What a good answer says; for staff alone"
            long
            optional
            className="sm:col-span-3"
          />
        </div>
      )}
    </List>
  );
}

/** In what it floats; water where nothing is written. */
function LiquidFields({ name }: { readonly name: string }) {
  const [liquid, set] = useAt<AskedQuestion['liquid']>(name);
  const put = (part: Partial<FloatLiquid>) => {
    const whole = { name: '', density: '', ...liquid, ...part };
    set(whole.name === '' && whole.density === '' ? undefined : whole);
  };
  return (
    <>
      <TextField
        label="In which liquid; water where none is said"
        value={liquid?.name ?? ''}
        onChange={(text) => put({ name: text })}
      />
      <TextField
        label="Its density, g/cm³"
        mono
        value={liquid?.density ?? ''}
        onChange={(density) => put({ density })}
      />
    </>
  );
}

function Causes() {
  const [causes, set] = useAt<readonly string[]>('causes');
  return (
    <fieldset>
      <legend className="mb-2 text-[1.15rem] font-bold">Causes of error that belong to it</legend>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        {errorCauses.map(({ code, cause }) => (
          <li key={code}>
            <CheckField
              label={cause}
              checked={causes.includes(code)}
              onChange={(checked) => set(checked ? [...causes, code] : causes.filter((own) => own !== code))}
            />
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
