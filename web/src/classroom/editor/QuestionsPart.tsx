import { errorCauses, type AskedPrediction, type AskedQuestion } from '@green-beam/core';
import { CheckField, ChoiceField, ListField, TextField } from '../../ui/fields';
import type { Part } from './part';

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
              <CheckField
                label={cause}
                checked={body.causes.includes(code)}
                onChange={(checked) =>
                  change({
                    causes: checked ? [...body.causes, code] : body.causes.filter((own) => own !== code),
                  })
                }
              />
            </li>
          ))}
        </ul>
      </fieldset>
    </>
  );
}
