import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import type { Section } from './sections';
import { isTyping } from '../ui/isTyping';

/** `g`, then a letter: go to a section. */
export function useSectionKeys(sections: readonly Section[]): void {
  const navigate = useNavigate();
  useEffect(() => {
    let going = false;
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      const section = going ? sections.find(({ letter }) => letter === event.key) : undefined;
      going = event.key === 'g';
      if (section) {
        event.preventDefault();
        void navigate(section.to);
      }
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [sections, navigate]);
}
