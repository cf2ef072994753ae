import type { LucideIcon } from 'lucide-react';
import { Tip } from './Tip';

/** A button that is only a sign; its name is for screen readers, a word of it for the pointer. */
export function IconButton({
  icon: Icon,
  name,
  title,
  framed = false,
  disabled = false,
  onClick,
}: {
  icon: LucideIcon;
  name: string;
  title: string;
  /** Over a drawing, where a bare sign would be lost */
  framed?: boolean;
  disabled?: boolean;
  onClick: () => void;
}) {
  return (
    <Tip text={title}>
      <button
        type="button"
        className={`btn px-2 ${framed ? '' : 'btn-bare'}`}
        aria-label={name}
        disabled={disabled}
        onClick={onClick}
      >
        <Icon size={15} aria-hidden="true" />
      </button>
    </Tip>
  );
}
