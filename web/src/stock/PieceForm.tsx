import { yupResolver } from '@hookform/resolvers/yup';
import { pieceSchema, type StockedPiece } from '@green-beam/contract';
import { instruments, pieceOf, promisedPlusMinus, type Piece } from '@green-beam/core';
import { CheckChart } from '@green-beam/drawing';
import { useState } from 'react';
import { useForm, useWatch, type Resolver } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { CheckField, ChoiceField, LinesField, TextField } from '../ui/fields';
import { CorrectionFields } from './CorrectionFields';
import { firstMessage, Held, Problem } from '../ui/Held';
import { checkFrom, checkLine } from './pieceLines';
import { makeOf, pieceIn, useKeepPieces, useRemovePiece } from './useStock';

const kinds = instruments.map(({ kind, name }) => [kind, name] as const);

const blank = pieceOf({ tag: '', kind: 'graduated-cylinder', model: 'cylinder-100-1' });

/** Everything that is kept of a piece; every problem at its field, all at once. */
export function PieceForm({ piece }: { readonly piece: StockedPiece | null }) {
  const navigate = useNavigate();
  const keep = useKeepPieces();
  const remove = useRemovePiece();
  const [leaving, setLeaving] = useState(false);
  const revision = piece?.revision ?? 0;
  const form = useForm<Piece>({
    defaultValues: piece ? pieceIn(piece) : blank,
    resolver: yupResolver(pieceSchema as never) as unknown as Resolver<Piece>,
  });
  const { handleSubmit, control, setValue, formState } = form;
  const now = useWatch({ control }) as Piece;
  const set = <K extends keyof Piece>(key: K, value: Piece[K]) =>
    setValue(key as never, value as never, { shouldDirty: true, shouldValidate: formState.isSubmitted });
  const { unit, tolerance } = makeOf(now);
  const wrong = (key: keyof Piece) => firstMessage(formState.errors[key]);
  return (
    <form
      onSubmit={(event) =>
        void handleSubmit((body) =>
          keep.mutate(
            { pieces: [body], revision },
            { onSuccess: () => void navigate(`/stock/${encodeURIComponent(body.tag)}`) },
          ),
        )(event)
      }
      className="grid max-w-4xl gap-8"
    >
      <section aria-label="What it is" className="grid gap-4 sm:grid-cols-[8rem_1fr_1fr_6rem]">
        <Held says={wrong('tag')}>
          {piece ? (
            <p>
              <span className="block text-sm text-soft">Tag</span>
              <span className="font-mono">{piece.tag}</span>
            </p>
          ) : (
            <TextField
              label="Tag"
              mono
              longest={40}
              value={now.tag}
              onChange={(tag) => set('tag', tag.trimStart())}
            />
          )}
        </Held>
        <Held says={wrong('kind')}>
          <ChoiceField
            label="Kind"
            value={now.kind}
            choices={kinds}
            onChange={(kind) => {
              set('kind', kind as Piece['kind']);
              set('model', instruments.find((one) => one.kind === kind)?.models[0]?.id ?? '');
            }}
          />
        </Held>
        <Held says={wrong('model')}>
          <ChoiceField
            label="Make"
            value={now.model}
            choices={(instruments.find(({ kind }) => kind === now.kind)?.models ?? []).map(
              ({ id, name }) => [id, name] as const,
            )}
            onChange={(model) => set('model', model)}
          />
        </Held>
        <Held says={wrong('count')}>
          <TextField
            label="How many"
            mono
            value={Number.isNaN(now.count) ? '' : String(now.count)}
            onChange={(text) => set('count', /^\d+$/.test(text.trim()) ? Number(text) : NaN)}
          />
        </Held>
        <TextField
          label="Where it is kept"
          longest={80}
          className="sm:col-span-2"
          value={now.place}
          onChange={(place) => set('place', place)}
        />
        <TextField
          label="Faults"
          longest={400}
          value={now.faults}
          onChange={(faults) => set('faults', faults)}
        />
        <CheckField
          label="Out of use"
          checked={now.outOfUse}
          onChange={(outOfUse) => set('outOfUse', outOfUse)}
        />
      </section>
      <section aria-label="How true it is">
        <h2 className="mb-1">How true it is</h2>
        <p className="mb-3 text-soft">
          Its maker promises ±{tolerance} {unit}. A certificate stands in place of that.
        </p>
        <div className="grid gap-4 sm:grid-cols-[8rem_1fr]">
          <Held says={wrong('certified')}>
            <TextField
              label={`Certified ± in ${unit}`}
              mono
              value={now.certified?.plusMinus ?? ''}
              onChange={(plusMinus) =>
                set(
                  'certified',
                  plusMinus.trim() === ''
                    ? null
                    : { source: '', ...now.certified, plusMinus: plusMinus.trim() },
                )
              }
            />
          </Held>
          {now.certified && (
            <TextField
              label="By what certificate"
              longest={120}
              value={now.certified.source}
              onChange={(source) => set('certified', { plusMinus: '', ...now.certified, source })}
            />
          )}
        </div>
      </section>
      <section aria-label="Correction">
        <h2 className="mb-1">Correction</h2>
        <p className="mb-3 max-w-[70ch] text-soft">
          It is offered wherever this tag is used, and never applied in silence.
        </p>
        <CorrectionFields
          correction={now.correction}
          unit={unit}
          onChange={(correction) => set('correction', correction)}
        />
        <Problem says={wrong('correction')} />
      </section>
      <section aria-label="Checks">
        <h2 className="mb-1">Checks</h2>
        <LinesField
          label="A line each: the day, who, what was known, what it showed"
          lines={now.checks.map(checkLine)}
          onChange={(lines) => set('checks', lines.map(checkFrom))}
        />
        <Problem says={wrong('checks')} />
        {now.checks.length > 0 && !wrong('checks') && (
          <div className="mt-3">
            <CheckChart checks={now.checks} limit={Number(promisedPlusMinus(now))} unit={unit} />
          </div>
        )}
      </section>
      {(keep.isError || remove.isError) && (
        <p role="alert" className="border-l-4 border-vermilion pl-3">
          {sentenceFor(keep.error ?? remove.error)}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-4">
        <Button look="main" type="submit" disabled={keep.isPending}>
          Keep {now.tag || 'the piece'}
        </Button>
        {keep.isSuccess && !formState.isDirty && <p role="status">Kept.</p>}
        {piece &&
          (leaving ? (
            <>
              <p>Logbooks in which it was used keep what they say of it.</p>
              <Button
                onClick={() => remove.mutate(piece, { onSuccess: () => void navigate('/stock') })}
                disabled={remove.isPending}
              >
                Take {piece.tag} out
              </Button>
              <Button look="quiet" onClick={() => setLeaving(false)}>
                Keep it
              </Button>
            </>
          ) : (
            <Button look="quiet" onClick={() => setLeaving(true)}>
              Take it out of the stockroom
            </Button>
          ))}
      </div>
    </form>
  );
}
