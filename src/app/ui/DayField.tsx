import { format, isValid, parseISO } from 'date-fns';
import { CalendarDays } from 'lucide-react';
import { Popover } from 'radix-ui';
import { type Ref, useState } from 'react';
import { DayPicker } from 'react-day-picker';
import 'react-day-picker/style.css';

/** A day as it is read: 1 May 2027. */
const dayText = (iso: string) => format(parseISO(iso), 'd MMM yyyy');

interface DayFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (day: string) => void;
  readonly ref?: Ref<HTMLButtonElement>;
}

/** The same with its label over it, as other fields have. */
export function CaptionedDay(props: DayFieldProps) {
  return (
    <div>
      <span className="flex min-h-[24px] items-center font-[540]" aria-hidden="true">
        {props.label}
      </span>
      <DayField {...props} />
    </div>
  );
}

/** A day picked from a calendar, kept as 2027-05-01; '' where it is not known. */
export function DayField({ label, value, onChange, ref }: DayFieldProps) {
  const [open, setOpen] = useState(false);
  const chosen = value ? parseISO(value) : undefined;
  const day = chosen && isValid(chosen) ? chosen : undefined;
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        ref={ref}
        className="field flex items-center justify-between gap-2 text-left"
        aria-label={day ? `${label}: ${dayText(value)}` : `${label}: not set`}
      >
        <span className={day ? '' : 'text-dim'}>{day ? dayText(value) : 'any day'}</span>
        <CalendarDays size={15} aria-hidden="true" className="text-dim" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content className="menu calendar max-h-none! p-3" sideOffset={4} collisionPadding={8}>
          <DayPicker
            mode="single"
            autoFocus
            weekStartsOn={1}
            showOutsideDays
            defaultMonth={day ?? new Date()}
            selected={day}
            onSelect={(picked) => {
              onChange(picked ? format(picked, 'yyyy-MM-dd') : '');
              setOpen(false);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
