import { Check } from 'lucide-react';
import { Checkbox } from 'radix-ui';
import { type ReactNode, useId } from 'react';

/** Something that is so or not, with its words beside it. */
export function CheckField({
  checked,
  onChange,
  name,
  className = '',
  children,
}: {
  checked: boolean;
  onChange: (checked: boolean) => void;
  /** For screen readers, where the words beside it do not say it all */
  name?: string;
  className?: string;
  children: ReactNode;
}) {
  const id = useId();
  return (
    <span className={`flex items-center gap-2 ${className}`}>
      <Checkbox.Root
        id={id}
        checked={checked}
        onCheckedChange={(next) => onChange(next === true)}
        aria-label={name}
        className="grid h-[18px] w-[18px] shrink-0 place-items-center rounded-[4px] border border-dim bg-ground data-[state=checked]:border-act data-[state=checked]:bg-act data-[state=checked]:text-act-ink"
      >
        <Checkbox.Indicator>
          <Check size={14} strokeWidth={3} aria-hidden="true" />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <label htmlFor={id} className="min-w-0">
        {children}
      </label>
    </span>
  );
}
