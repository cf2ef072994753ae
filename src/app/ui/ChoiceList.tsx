import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';
import { useState } from 'react';
import { BUTTON, type ChoiceProps, type Options, textOf } from './choiceProps';

/** The list of a choice with its button. @param begun whether it is open as it comes */
export function ChoiceList<T extends string>({
  id,
  name,
  value,
  options = [],
  groups = [],
  className = '',
  onChange,
  begun,
}: ChoiceProps<T> & { begun: boolean }) {
  const [open, setOpen] = useState(begun);
  return (
    <Select.Root
      open={open}
      onOpenChange={setOpen}
      value={keyOf(value)}
      onValueChange={(key) => onChange(optionOf(key) as T)}
    >
      <Select.Trigger id={id} aria-label={name} data-value={value} className={`${BUTTON} ${className}`}>
        <span className="min-w-0 truncate">
          <Select.Value>{textOf(value, options, groups)}</Select.Value>
        </span>
        <ChevronDown size={14} aria-hidden="true" className="shrink-0 text-dim" />
      </Select.Trigger>
      {/* A closed list would keep all its options alive; a page may have fifty of them. */}
      {open && (
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={3}
            collisionPadding={8}
            className="menu max-h-[min(420px,var(--radix-select-content-available-height))]! min-w-(--radix-select-trigger-width)! max-w-[94vw]"
          >
            <Select.Viewport>
              <Items options={options} />
              {groups.map(({ title, options: inGroup }) => (
                <Select.Group key={title}>
                  <Select.Label className="caption px-2 pt-1.5 pb-0.5">{title}</Select.Label>
                  <Items options={inGroup} />
                </Select.Group>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      )}
    </Select.Root>
  );
}

function Items<T extends string>({ options }: { options: Options<T> }) {
  return options.map(([value, text]) => (
    <Select.Item key={value} value={keyOf(value)} data-value={value} className="menu-item pr-7">
      <Select.ItemText>{text}</Select.ItemText>
      <Select.ItemIndicator className="absolute right-2">
        <Check size={14} aria-hidden="true" />
      </Select.ItemIndicator>
    </Select.Item>
  ));
}

// The primitive keeps the empty text for "nothing chosen"; here it may be a choice.
const keyOf = (value: string) => `=${value}`;
const optionOf = (key: string) => key.slice(1);
