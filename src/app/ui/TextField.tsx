import { useId } from 'react';
import { say } from '../../text/en/say/ui';
import { useDraft } from './useDraft';

/** A name; saved as typed, the last good one kept while what is typed is empty or too long. */
export function TextField({
  label,
  value,
  longest,
  required,
  compact = false,
  onCommit,
}: {
  label: string;
  value: string;
  longest: number;
  required: boolean;
  compact?: boolean;
  onCommit: (value: string) => void;
}) {
  const id = useId();
  const { typed, type, drop } = useDraft<string, string>(value);
  const text = typed ?? value;
  const error =
    required && text.trim() === ''
      ? say.nameNeededLastOne
      : text.trim().length > longest
        ? say.mostCharactersLastOne(longest)
        : null;
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={compact ? 'sr-only' : 'flex min-h-[24px] items-center font-[540]'}>
        {label}
      </label>
      <input
        id={id}
        className={`field ${compact ? '' : 'mt-0.5'}`}
        value={text}
        autoComplete="off"
        aria-invalid={error !== null}
        aria-describedby={error ? `${id}-error` : undefined}
        onChange={(event) => {
          const next = event.target.value;
          const trimmed = next.trim();
          const good = (trimmed !== '' || !required) && trimmed.length <= longest;
          // What ends in a space is saved on leaving, so that a space in the middle can be typed.
          const saved = good && trimmed !== value && trimmed === next;
          type(next, null, saved ? trimmed : value);
          if (saved) onCommit(trimmed);
        }}
        onBlur={() => {
          const trimmed = text.trim();
          if (error === null && trimmed !== value) onCommit(trimmed);
          drop();
        }}
      />
      {error && (
        <p id={`${id}-error`} role="alert" className="mt-1 text-[12.5px] text-over">
          {error}
        </p>
      )}
    </div>
  );
}
