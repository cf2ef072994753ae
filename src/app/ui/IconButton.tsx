import type { LucideIcon } from 'lucide-react';

/** A button that is only a sign; its name is for screen readers, a word of it for the pointer. */
export function IconButton({
  icon: Icon,
  name,
  title,
  disabled = false,
  onClick,
}: {
  icon: LucideIcon;
  name: string;
  title: string;
  disabled?: boolean;
  onClick: () => void;
}) {
  return (
    <button
      type="button"
      className="btn btn-bare px-2"
      aria-label={name}
      title={title}
      disabled={disabled}
      onClick={onClick}
    >
      <Icon size={15} aria-hidden="true" />
    </button>
  );
}
