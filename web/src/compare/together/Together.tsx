import type { ReadingsAnswer } from '@green-beam/contract';
import { together, usualWay, waysTogether, type Gathered, type WayTogether } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { Button } from '../../ui/Button';
import { ChoiceField } from '../../ui/fields';
import { Loading, Trouble } from '../../ui/Notice';
import { readingsOf } from '../sources/readings';
import { Whole } from '../Whole';
import { useBasket } from './useBasket';
import { useGathered, type FromElsewhere } from './useGathered';

const words: Readonly<Record<WayTogether, string>> = {
  values: 'what was found',
  errors: 'errors: what was found less what it should be',
  percent: 'percent errors: that, of what it should be',
};

const names: Readonly<Record<WayTogether, string>> = {
  values: 'Values',
  errors: 'Errors',
  percent: 'Percent errors',
};

/** Groups from anywhere, side by side: of logbooks, of readings, of questions, of pieces. */
export function Together() {
  const { classId = '' } = useParams();
  const [search] = useSearchParams();
  const about = useQuery(readingsOf(classId, null, null));
  const { groups, causes, waiting, error } = useGathered(useMemo(() => search.getAll('group'), [search]));
  const trouble = about.error ?? error;
  if (trouble) return <Trouble error={trouble} />;
  if (about.data === undefined || waiting) return <Loading what="the groups" />;
  return <Gatherings classId={classId} about={about.data} groups={groups} causes={causes} />;
}

function Gatherings({
  classId,
  about,
  groups: asked,
  causes,
}: {
  readonly classId: string;
  readonly about: ReadingsAnswer;
  readonly groups: readonly FromElsewhere[];
  readonly causes: readonly string[];
}) {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const basket = useBasket();
  const groups = useMemo(() => counted(asked), [asked]);
  const here = useMemo(() => withPlaces(groups), [groups]);
  const way = waysTogether.find((own) => own === search.get('as')) ?? usualWay(here);
  const { comparison, apart } = useMemo(() => together(here, way), [here, way]);
  const takeOut = (address: string) => {
    basket.takeOut(address);
    setSearch(
      (before) => {
        const others = before.getAll('group').filter((own) => own !== address);
        before.delete('group');
        before.delete('only');
        for (const own of others) before.append('group', own);
        return before;
      },
      { replace: true },
    );
  };
  return (
    <Whole
      title="Compare: from several places"
      aside={`${about.class.name} · ${groups.length} ${groups.length === 1 ? 'group' : 'groups'}`}
      back={{ to: `/class/${classId}/compare`, name: 'Back to Compare' }}
      name={names[way]}
      place={`together/${classId}`}
      comparison={comparison}
      conventions={about.conventions}
      causes={causes}
      wanted={false}
      classId={classId}
      choice={
        <div className="no-print mb-5 flex flex-col gap-3">
          <ChoiceField
            label="What is compared"
            value={way}
            choices={waysTogether.map((own) => [own, words[own]] as const)}
            onChange={(own) =>
              setSearch(
                (before) => {
                  before.set('as', own);
                  return before;
                },
                { replace: true },
              )
            }
            className="w-96 max-w-full"
          />
          <div className="grid gap-x-10 gap-y-4 sm:grid-cols-2 lg:grid-cols-3">
            {placesOf(groups).map((place) => (
              <FromPlace key={place} place={place} groups={groups} apart={apart} takeOut={takeOut} />
            ))}
          </div>
          <p>
            <Button
              onClick={() => {
                basket.hold(groups.map(({ address }) => address));
                void navigate(`/class/${classId}/compare`);
              }}
            >
              Add groups from elsewhere
            </Button>
          </p>
        </div>
      }
    />
  );
}

/** The groups of one place, each to be taken out, and why it is not compared; said once where it is so of all. */
function FromPlace({
  place,
  groups,
  apart,
  takeOut,
}: {
  readonly place: string;
  readonly groups: readonly FromElsewhere[];
  readonly apart: ReturnType<typeof together>['apart'];
  readonly takeOut: (address: string) => void;
}) {
  const own = groups.flatMap(({ address, gathered }) =>
    placeOf(gathered) === place
      ? [
          {
            address,
            name: gathered?.group.name ?? 'A group',
            why: apart.find(({ key }) => key === gathered?.group.key)?.why,
          },
        ]
      : [],
  );
  const whys = new Set(own.map(({ why }) => why));
  const ofAll = own.length > 1 && whys.size === 1 ? own[0]?.why : undefined;
  return (
    <section aria-label={place}>
      <h2 className="border-b border-edge text-base">{place}</h2>
      {ofAll && <p className="text-sm text-vermilion">None is compared: {ofAll}.</p>}
      <ul>
        {own.map(({ address, name, why }) => (
          <li key={address} className="flex flex-wrap items-baseline justify-between gap-x-3 py-0.5">
            <Link to={address} className="underline underline-offset-4">
              {name}
            </Link>
            <Button look="quiet" className="text-sm" onClick={() => takeOut(address)}>
              Take it out<span className="sr-only"> {name}</span>
            </Button>
            {why && !ofAll && <span className="w-full text-sm text-vermilion">Not compared: {why}.</span>}
          </li>
        ))}
      </ul>
    </section>
  );
}

const placeOf = (gathered: FromElsewhere['gathered']): string => gathered?.from ?? 'There no more';

const placesOf = (groups: readonly FromElsewhere[]): string[] => [
  ...new Set(groups.map(({ gathered }) => placeOf(gathered))),
];

/** The same groups, those of one name from one place counted. */
function counted(groups: readonly FromElsewhere[]): readonly FromElsewhere[] {
  return groups.map(({ address, gathered }, nth) => {
    if (gathered === null) return { address, gathered };
    const { group, from } = gathered;
    const before = groups
      .slice(0, nth)
      .filter(({ gathered: own }) => own?.from === from && own.group.name === group.name).length;
    const name = before === 0 ? group.name : `${group.name} (${before + 1})`;
    return { address, gathered: { ...gathered, group: { ...group, name } } };
  });
}

/** The groups that are there; those of one name are called by where they come from too. */
function withPlaces(groups: readonly FromElsewhere[]): Gathered[] {
  const there = groups.flatMap(({ gathered }) => gathered ?? []);
  return there.map(({ unit, source, group, from }) => ({
    unit,
    source,
    group: there.some((own) => own.from !== from && own.group.name === group.name)
      ? { ...group, name: `${from}, ${group.name}` }
      : group,
  }));
}
