import { endpoints, type HouseRulesAnswer, type HouseRulesVersion } from '@green-beam/contract';
import { changesBetween, presets, type Conventions } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { houseRulesKey, useHouseRules } from '../answers/conventions';
import { call, sentenceFor } from '../api';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { ChoiceField } from '../ui/fields';
import { Loading, Page, Trouble } from '../ui/Notice';
import { RuleGroups } from './RuleGroups';
import { RuleVersions } from './RuleVersions';

/** The house rules of a class: every question with its answers, what they come to, and every version that was used. */
export function HouseRules() {
  const { classId = '' } = useParams();
  const rules = useHouseRules(classId);
  const newest = rules.data?.versions[0];
  if (!rules.data || !newest)
    return rules.isError ? (
      <Trouble error={rules.error} again={() => void rules.refetch()} />
    ) : (
      <Loading what="the house rules" />
    );
  return <OpenRules classId={classId} answer={rules.data} newest={newest} />;
}

function OpenRules({
  classId,
  answer,
  newest,
}: {
  readonly classId: string;
  readonly answer: HouseRulesAnswer;
  readonly newest: HouseRulesVersion;
}) {
  const queries = useQueryClient();
  const inForce = newest.rules;
  const [kept, keep] = useDraft(`rules/${classId}/${inForce.version}`);
  const draft = useMemo(() => draftFrom(kept, inForce), [kept, inForce]);
  const changes = changesBetween(inForce, draft);
  const change = (part: Partial<Conventions>) => {
    const next = { ...draft, ...part };
    keep(changesBetween(inForce, next).length === 0 ? '' : JSON.stringify(next));
  };
  const save = useMutation({
    mutationFn: () =>
      call(endpoints.reviseHouseRules, {
        params: { classId },
        body: {
          rules: { ...draft, preset: presetOf(draft) },
          from: inForce.version,
        },
      }),
    onSuccess: (made) => {
      keep('');
      queries.setQueryData(houseRulesKey(classId), made);
      void queries.invalidateQueries({ queryKey: ['conventions'] });
    },
  });
  return (
    <Page
      title={`House rules of ${answer.class.name}`}
      aside={`version ${inForce.version}, ${inForce.preset}`}
    >
      <p className="mb-5 flex flex-wrap gap-x-6 gap-y-2">
        <Link to={`/class/${classId}`} className="underline underline-offset-4">
          Back to the class
        </Link>
        <Link to="print" className="underline underline-offset-4">
          A page to print for the class
        </Link>
      </p>
      {answer.mayChange && (
        <div className="mb-6 flex flex-wrap items-end gap-4">
          <ChoiceField
            label="Begin from"
            className="w-64"
            value={presetOf(draft)}
            choices={presets.map(({ preset }) => [preset, preset] as const)}
            onChange={(name) => {
              const preset = presets.find((one) => one.preset === name);
              if (preset) change({ ...preset, version: inForce.version });
            }}
          />
          <p className="max-w-prose pb-1.5 text-soft">
            These rules decide what is right, how it is rounded and what ± means, wherever this class reads,
            writes and reckons. Change any answer; what it comes to stands beside it.
          </p>
        </div>
      )}
      <RuleGroups rules={draft} inForce={inForce} mayChange={answer.mayChange} onChange={change} />
      {changes.length > 0 && (
        <section
          aria-label="What will change"
          className="sticky bottom-0 z-10 mt-6 border-2 border-ink bg-white p-4"
        >
          <p className="mb-2">
            <strong>
              {changes.length === 1 ? 'One answer changes.' : `${changes.length} answers change.`}
            </strong>{' '}
            {staying(newest)} with version {inForce.version}; new work follows version {inForce.version + 1}.
          </p>
          <details className="mb-3">
            <summary className="cursor-pointer underline underline-offset-4">See what changes</summary>
            <ul className="mt-2 max-h-48 overflow-y-auto">
              {changes.map(({ asks, from, to }) => (
                <li key={asks}>
                  {asks} <s className="text-soft">{from}</s> → <strong>{to}</strong>
                </li>
              ))}
            </ul>
          </details>
          {save.isError && (
            <p role="alert" className="mb-3 border-l-4 border-vermilion pl-3">
              {sentenceFor(save.error)}
            </p>
          )}
          <div className="flex flex-wrap gap-4">
            <Button look="main" disabled={save.isPending} onClick={() => save.mutate()}>
              Use these rules from now on
            </Button>
            <Button onClick={() => keep('')}>Leave them as they are</Button>
          </div>
        </section>
      )}
      <RuleVersions versions={answer.versions} />
    </Page>
  );
}

const staying = ({ logbooks, settings }: HouseRulesVersion): string =>
  `${upper(counted(logbooks, 'logbook'))} and ${counted(settings, 'reading')} on the bench ${logbooks + settings === 1 ? 'stays' : 'stay'}`;

const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const counted = (count: number, one: string): string =>
  count === 0 ? `no ${one}` : count === 1 ? `one ${one}` : `${count} ${one}s`;

/** What was changed and not saved yet; what cannot be read any more is let go. */
function draftFrom(kept: string, inForce: Conventions): Conventions {
  if (kept === '') return inForce;
  try {
    return { ...inForce, ...(JSON.parse(kept) as Partial<Conventions>), version: inForce.version };
  } catch {
    return inForce;
  }
}

/** The preset that these rules are; a class that changed an answer has rules of its own. */
const presetOf = (rules: Conventions): string =>
  presets.find((preset) => changesBetween(preset, rules).length === 0)?.preset ?? 'Our own';
