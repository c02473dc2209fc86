import { useRef } from 'react';
import { useNavigate } from 'react-router';
import { useKeys } from '../ui/useKeys';
import type { Section } from './sections';

/** `g`, then a letter: go to a section. */
export function useSectionKeys(sections: readonly Section[]): void {
  const navigate = useNavigate();
  const going = useRef(false);
  useKeys((event) => {
    const section = going.current ? sections.find(({ letter }) => letter === event.key) : undefined;
    going.current = event.key === 'g';
    if (!section) return;
    event.preventDefault();
    void navigate(section.to);
  });
}
