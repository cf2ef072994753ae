import { Slider } from 'radix-ui';
import { useId } from 'react';

/** A value dragged between two ends, with what it comes to beside it. */
export function SliderField({
  label,
  value,
  min,
  max,
  step,
  text,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  text: string;
  onChange: (value: number) => void;
}) {
  const id = useId();
  return (
    <div className="min-w-[200px] flex-1">
      <div className="flex items-baseline justify-between gap-3">
        <span id={id} className="font-[540]">
          {label}
        </span>
        <output className="font-[620]">{text}</output>
      </div>
      <Slider.Root
        className="relative mt-1 flex h-[22px] touch-none items-center select-none"
        value={[value]}
        min={min}
        max={max}
        step={step}
        onValueChange={([next]) => onChange(next)}
      >
        <Slider.Track className="relative h-[4px] grow rounded bg-rule">
          <Slider.Range className="absolute h-full rounded bg-act" />
        </Slider.Track>
        <Slider.Thumb
          aria-labelledby={id}
          aria-valuetext={text}
          className="block h-[18px] w-[18px] rounded-full border-2 border-act bg-panel"
        />
      </Slider.Root>
    </div>
  );
}
