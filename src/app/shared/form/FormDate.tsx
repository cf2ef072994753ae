import { format, isValid, parseISO } from 'date-fns';
import { CalendarDays } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { DayPicker } from 'react-day-picker';
import { Controller, type FieldPath, type FieldValues, useFormContext } from 'react-hook-form';
import 'react-day-picker/style.css';
import { FormError } from './FormNumber';

/** A day as it is read: 1 May 2027. */
const dayText = (iso: string) => format(parseISO(iso), 'd MMM yyyy');

/** A day picked from a calendar; empty where it is not known. Kept as 2027-05-01. */
export function FormDate<T extends FieldValues>({
  name,
  label,
}: {
  readonly name: FieldPath<T>;
  readonly label: string;
}) {
  const { control } = useFormContext<T>();
  const [open, setOpen] = useState(false);
  return (
    <div>
      <Controller
        control={control}
        name={name}
        render={({ field }) => {
          const chosen = field.value ? parseISO(field.value) : undefined;
          const day = chosen && isValid(chosen) ? chosen : undefined;
          return (
            <Popover.Root open={open} onOpenChange={setOpen}>
              <Popover.Trigger
                ref={field.ref}
                className="field flex items-center justify-between gap-2 text-left"
                aria-label={day ? `${label}: ${dayText(field.value)}` : `${label}: not set`}
              >
                <span className={day ? '' : 'text-dim'}>{day ? dayText(field.value) : 'any day'}</span>
                <CalendarDays size={15} aria-hidden="true" className="text-dim" />
              </Popover.Trigger>
              <Popover.Portal>
                <Popover.Content
                  className="menu calendar max-h-none! p-3"
                  sideOffset={4}
                  collisionPadding={8}
                >
                  <DayPicker
                    mode="single"
                    autoFocus
                    weekStartsOn={1}
                    showOutsideDays
                    defaultMonth={day ?? new Date()}
                    selected={day}
                    onSelect={(picked) => {
                      field.onChange(picked ? format(picked, 'yyyy-MM-dd') : '');
                      setOpen(false);
                    }}
                  />
                </Popover.Content>
              </Popover.Portal>
            </Popover.Root>
          );
        }}
      />
      <FormError id={`${name}-error`} name={name} />
    </div>
  );
}
