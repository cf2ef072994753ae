import { useEffect, useId, useState } from 'react';

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
  const [draft, setDraft] = useState<string | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a value from elsewhere ends the draft
  useEffect(() => setDraft(null), [value]);
  const text = draft ?? value;
  const error =
    required && text.trim() === ''
      ? 'A name is needed; the last one is kept.'
      : text.trim().length > longest
        ? `At most ${longest} characters; the last one is kept.`
        : null;
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={compact ? 'sr-only' : 'font-[540]'}>
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
          const typed = event.target.value;
          setDraft(typed);
          const trimmed = typed.trim();
          if ((trimmed !== '' || !required) && trimmed.length <= longest && trimmed !== value) {
            // Kept as typed until the value comes back, so that a space in the middle can be typed.
            if (trimmed === typed) onCommit(trimmed);
          }
        }}
        onBlur={() => {
          const trimmed = text.trim();
          if (error === null && trimmed !== value) onCommit(trimmed);
          setDraft(null);
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
