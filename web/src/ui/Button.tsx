import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: 'main' | 'plain' | 'bench' | 'quiet';
}

const looks = {
  main: 'bg-beam text-white font-bold hover:bg-[#17694a] disabled:bg-edge',
  plain: 'border border-edge bg-white text-ink font-bold hover:border-ink',
  bench:
    'shrink-0 whitespace-nowrap border border-[#5f8578] bg-bench text-chalk hover:border-chalk aria-pressed:bg-chalk aria-pressed:text-bench',
  quiet: 'text-ink underline underline-offset-4 decoration-edge hover:decoration-ink',
} as const;

export function Button({ look = 'plain', className, type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={clsx(
        'rounded-sm text-base',
        { quiet: 'px-1 py-1', bench: 'px-2.5 py-2', main: 'px-4 py-2.5', plain: 'px-4 py-2.5' }[look],
        looks[look],
        className,
      )}
      {...rest}
    />
  );
}
