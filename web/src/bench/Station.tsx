import type { SettingAnswer } from '@green-beam/contract';
import { isDrawn, isStationPicture, type Point } from '@green-beam/core';
import { lazy, Suspense, useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { Link, useParams } from 'react-router';
import { ownTexts } from '../browser/storage';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';
import { Loading, Trouble } from '../ui/Notice';
import { AnswerForm } from './AnswerForm';
import type { Hands } from './apparatus/apparatus';
import { apparatuses } from './apparatus/apparatuses';
import { PointedAt } from './apparatus/pointedAt';
import { useBench } from './useBench';
import { useSetting } from './setting';

/** One setting: the apparatus on the bench, and the page where the reader writes. */
export function Station() {
  const { settingId = '' } = useParams();
  const setting = useSetting(settingId);
  if (setting.data === undefined) {
    return setting.isError ? (
      <Trouble error={setting.error} again={() => void setting.refetch()} />
    ) : (
      <Loading what="the apparatus" />
    );
  }
  // The page waits for its apparatus: what is written belongs to how the hands left it.
  return (
    <Suspense fallback={<Loading what="the apparatus" />}>
      <AtTheBench key={settingId} setting={setting.data} />
    </Suspense>
  );
}

function AtTheBench({ setting }: { readonly setting: SettingAnswer }) {
  const { id: person } = useWho();
  const handsKey = `green-beam/hands/${person}/${setting.id}`;
  const [left] = useState(() => readHands(person, handsKey));
  // The hands move many times a second: they are kept beside the page, not in it, and stored once they rest.
  const hands = useRef<Hands | null>(left);
  const onHands = useCallback((moved: Hands) => void (hands.current = moved), []);
  useKeptAtRest(hands, person, handsKey);
  const Apparatus = apparatuses[setting.kind];
  const { picture } = setting;
  const handled = setting.mode === 'handle';
  useHandsFirst(handled);
  return (
    <main id="main" className="grid md:h-[calc(100vh-65px)] md:min-h-[560px] md:grid-cols-[3fr_2fr]">
      <title>{`${setting.modelName} · Green Beam`}</title>
      <PointedAt value={pointOf(setting)}>
        {isDrawn(picture) ? (
          <DrawnApparatus picture={picture} />
        ) : isStationPicture(picture) ? (
          <RealStation tag={picture.tag} modelName={setting.modelName} />
        ) : (
          Apparatus && <Apparatus picture={picture} handled={handled} left={left} onHands={onHands} />
        )}
      </PointedAt>
      <section aria-label="Your page" className="flex flex-col gap-6 overflow-y-auto p-6 sm:p-9">
        <AnswerForm setting={setting} handsNow={() => (handled ? hands.current : null)} />
        <Footer setting={setting} />
      </section>
    </main>
  );
}

/** After a wrong reading: the part of the drawing that the first cause is about. */
function pointOf({ attempts }: SettingAnswer): Point | null {
  const verdict = attempts.at(-1)?.verdict;
  if (verdict?.outcome !== 'wrong') return null;
  return verdict.explanations[0]?.find(({ point }) => point)?.point ?? null;
}

/** Where it is asked what its lines are worth, its card does not tell. */
const asksItsDivision = ({ picture }: SettingAnswer): boolean =>
  isDrawn(picture) ? picture.asksDivision : 'task' in picture && picture.task === 'least count';

const DrawnApparatus = lazy(async () => ({
  default: (await import('./apparatus/DrawnApparatus')).DrawnApparatus,
}));
const RealStation = lazy(async () => ({ default: (await import('./RealStation')).RealStation }));
const CardDialog = lazy(async () => ({ default: (await import('./CardDialog')).CardDialog }));

function Footer({ setting }: { readonly setting: SettingAnswer }) {
  const instrument = useBench().data?.instruments.find(({ kind }) => kind === setting.kind);
  const skill = instrument?.skill;
  const [card, setCard] = useState(false);
  return (
    <footer className="mt-auto flex flex-wrap justify-between gap-x-6 gap-y-1 border-t border-rule pt-3 text-sm text-soft">
      <span>
        {setting.modelName}
        {skill && (
          <>
            {': '}
            <strong className="text-ink">{skill.state}</strong>
            {skill.tries > 0 && `, ${skill.reason}`}
          </>
        )}
      </span>
      <span className="ml-auto flex gap-5">
        {/* What the whole class is asked is answered without it. */}
        {!setting.shown && (
          <Button look="quiet" className="!p-0 text-sm" disabled={!instrument} onClick={() => setCard(true)}>
            How it is read
          </Button>
        )}
        <Link to="/bench" className="underline underline-offset-4">
          Another instrument
        </Link>
      </span>
      {card && instrument && (
        <Suspense>
          <CardDialog
            kind={instrument.kind}
            name={instrument.name}
            make={
              asksItsDivision(setting)
                ? undefined
                : instrument.models.find(({ id }) => id === setting.picture.model)
            }
            onClose={() => setCard(false)}
          />
        </Suspense>
      )}
    </footer>
  );
}

/** In hand, the keyboard begins with what can be moved, and goes to the field with `r`. */
function useHandsFirst(handled: boolean): void {
  useEffect(() => {
    if (handled) document.querySelector<SVGElement>('#main [role=slider]')?.focus({ preventScroll: true });
  }, [handled]);
}

const restMs = 200;

/** Stores how the hands lie, shortly after they moved and when the page is left. */
function useKeptAtRest(hands: RefObject<Hands | null>, person: string, key: string): void {
  useEffect(() => {
    let stored = hands.current;
    const keep = () => {
      if (hands.current === stored) return;
      stored = hands.current;
      ownTexts(person).setItem(key, JSON.stringify(stored));
    };
    const timer = setInterval(keep, restMs);
    addEventListener('pagehide', keep);
    return () => {
      clearInterval(timer);
      removeEventListener('pagehide', keep);
      keep();
    };
  }, [hands, person, key]);
}

function readHands(person: string, key: string): Hands | null {
  try {
    return JSON.parse(ownTexts(person).getItem(key) ?? 'null') as Hands | null;
  } catch {
    return null;
  }
}
