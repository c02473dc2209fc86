import { at, endpoints, paths, type AttemptAnswer, type SettingAnswer } from '@green-beam/contract';
import type { Mode } from '@green-beam/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { answerTo, call } from '../api';
import { useOutbox, useParcels } from '../outbox/OutboxContext';
import type { Hands } from './apparatus/apparatus';

const settingKey = (id: string) => ['setting', id] as const;

export const useSetting = (id: string) =>
  useQuery({
    queryKey: settingKey(id),
    queryFn: () => call(endpoints.setting, { params: { settingId: id } }),
    staleTime: Infinity,
  });

export interface Wanted {
  readonly kind: string;
  readonly mode: Mode;
  readonly model?: string;
  /** The work that is set for which it is taken. */
  readonly task?: string;
}

/** Puts a new setting on the bench and goes there. */
export function useLayOut() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (wanted: Wanted) =>
      call(endpoints.newSetting, { body: { id: crypto.randomUUID(), ...wanted } }),
    onSuccess: (setting) => {
      queries.setQueryData(settingKey(setting.id), setting);
      void navigate(`/bench/${setting.id}`);
    },
  });
}

/**
 * Sends tries through the outbox, so that none is lost, and keeps the newest answer. A text that could not be read
 * costs no try; it is answered but not added to the setting.
 */
export function useTries(settingId: string) {
  const outbox = useOutbox();
  const queries = useQueryClient();
  const path = at(paths.attempts, { settingId });
  const [unread, setUnread] = useState<AttemptAnswer | null>(null);
  const mine = useParcels().filter((parcel) => parcel.path === path);
  useEffect(
    () =>
      outbox.onSent(({ parcel, answer }) => {
        if (parcel.path !== path) return;
        const attempt = answerTo(endpoints.attempt, parcel.path, answer)?.answer;
        if (!attempt) return;
        if (['unreadable', 'not ready'].includes(attempt.verdict.outcome)) return setUnread(attempt);
        setUnread(null);
        queries.setQueryData<SettingAnswer>(
          settingKey(settingId),
          (setting) =>
            setting && {
              ...setting,
              triesLeft: attempt.triesLeft,
              attempts: [...setting.attempts.filter(({ id }) => id !== attempt.id), attempt],
            },
        );
      }),
    [outbox, path, queries, settingId],
  );
  return {
    unread,
    waiting: mine.some(({ refused }) => refused === undefined),
    refused: mine.find(({ refused }) => refused !== undefined),
    discard: (id: string) => outbox.discard(id),
    check: (
      text: string,
      unit: string,
      hands: Hands | null,
      parts: Readonly<Record<string, string>> | null,
    ) => {
      const id = crypto.randomUUID();
      return outbox.add({ id, path, body: { id, text, unit, hands, parts } });
    },
  };
}
