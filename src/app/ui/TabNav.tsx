import { NavigationMenu } from 'radix-ui';
import { Link, type To } from 'react-router';

/** Views beside each other, each with an address of its own, one of them open. */
export function TabNav({
  label,
  tabs,
}: {
  label: string;
  tabs: readonly { readonly to: To; readonly name: string; readonly open: boolean }[];
}) {
  return (
    <NavigationMenu.Root aria-label={label} className="overflow-x-auto border-b border-rule">
      <NavigationMenu.List className="flex gap-0.5">
        {tabs.map(({ to, name, open }) => (
          <NavigationMenu.Item key={name}>
            <NavigationMenu.Link asChild active={open}>
              <Link
                to={to}
                className={`-mb-px block whitespace-nowrap border-b-2 px-2.5 py-1.5 font-[540] ${
                  open ? 'border-act text-ink' : 'border-transparent text-dim hover:text-ink'
                }`}
              >
                {name}
              </Link>
            </NavigationMenu.Link>
          </NavigationMenu.Item>
        ))}
      </NavigationMenu.List>
    </NavigationMenu.Root>
  );
}
