import { Check, FileUp, type LucideIcon } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { lazy, type ReactNode, Suspense, useState } from 'react';
import { demoProject } from '../../../demo/project';
import type { DayResult } from '../../core';
import { dayInput, QUANTITIES, SWITCHABLE, type Switchable, writeProject } from '../../model';
import { say } from '../../text/en/say/shell';
import { useEngine, useProject, useSetup } from '../state/context';
import { setDecimals, setTheme, setUs, useDecimals, useTheme, useUnits } from '../state/preferences';
import { Tip } from '../ui/Tip';
import { toast } from '../ui/toast';
import { download } from './files';
import { useImport } from './ImportTarget';
import { FILES, type MenuProps, SETTINGS } from './menuNames';
import { useReplaceProject } from './ReplaceProject';

const KeptAside = lazy(() => import('./KeptAside').then((m) => ({ default: m.KeptAside })));
type Exports = typeof import('./exports');

function Menu({
  id,
  name,
  icon: Icon,
  open,
  children,
}: {
  id: string;
  name: string;
  icon: LucideIcon;
  open: boolean;
  children: ReactNode;
}) {
  return (
    <DropdownMenu.Root defaultOpen={open}>
      <Tip quiet text={name}>
        <DropdownMenu.Trigger id={id} className="btn btn-bare px-2" aria-label={name}>
          <Icon size={16} aria-hidden="true" />
          <span className="hidden lg:inline">{name}</span>
        </DropdownMenu.Trigger>
      </Tip>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="menu" align="end" sideOffset={4} collisionPadding={8}>
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function Item({ children, onSelect }: { children: ReactNode; onSelect: () => void }) {
  return (
    <DropdownMenu.Item className="menu-item" onSelect={onSelect}>
      {children}
    </DropdownMenu.Item>
  );
}

const Line = () => <DropdownMenu.Separator className="my-1 h-px bg-rule" />;
const Head = ({ children }: { children: ReactNode }) => (
  <DropdownMenu.Label className="caption px-2 pt-1 pb-0.5">{children}</DropdownMenu.Label>
);

/** What writes it is fetched for it, as with results. */
async function exportSchema(): Promise<void> {
  try {
    const { projectJsonSchema } = await import('./schemaExport');
    const text = `${JSON.stringify(projectJsonSchema(), null, 2)}\n`;
    download('schema', 'fervent-kettle-project', text, '.schema');
  } catch (error) {
    toast.error(say.nothingWasExported((error as Error).message));
  }
}

/** Files in and out. */
export function FilesMenu({ open }: MenuProps) {
  const replace = useReplaceProject();
  const project = useProject();
  const setup = useSetup();
  const engine = useEngine();
  const units = useUnits();
  const openImport = useImport();
  const withResult = async (use: (result: DayResult, exports: Exports) => void) => {
    try {
      // What only an export needs is fetched for it.
      const { resultDocument, tracesCsv, zonesCsv } = await import('./exports');
      use(await engine.call((remote) => remote.simulate(dayInput(setup))), {
        resultDocument,
        tracesCsv,
        zonesCsv,
      });
    } catch (error) {
      toast.error(say.nothingWasExported((error as Error).message));
    }
  };
  const { plan } = setup;
  // Not there before it is asked for; afterwards it stays, so that it can hand the focus back.
  const [keptOpen, setKeptOpen] = useState<boolean | null>(null);
  return (
    <>
      {keptOpen !== null && (
        <Suspense fallback={null}>
          <KeptAside open={keptOpen} onClose={() => setKeptOpen(false)} />
        </Suspense>
      )}
      <Menu {...FILES} open={open}>
        <Item onSelect={() => download('project', project.name, writeProject(project))}>
          Export the project (JSON)
        </Item>
        <Item onSelect={openImport}>
          <FileUp size={15} aria-hidden="true" /> Import a project …
        </Item>
        <Item onSelect={() => setKeptOpen(true)}>Texts kept aside …</Item>
        <Line />
        <Head>Of “{plan.name}”, as saved</Head>
        <Item
          onSelect={() =>
            withResult((r, { zonesCsv }) =>
              download('table', plan.name, zonesCsv(setup, r, units), '-braking-zones'),
            )
          }
        >
          Braking zones (CSV)
        </Item>
        <Item
          onSelect={() =>
            withResult((r, { tracesCsv }) =>
              download('table', plan.name, tracesCsv(setup, r, units), '-trace'),
            )
          }
        >
          Traces (CSV)
        </Item>
        <Item
          onSelect={() =>
            withResult((r, { resultDocument }) =>
              download('result', plan.name, `${JSON.stringify(resultDocument(setup, r))}\n`, '-result'),
            )
          }
        >
          Whole result (JSON)
        </Item>
        <Line />
        <Item onSelect={() => void exportSchema()}>Schema of the project file</Item>
        <Item
          onSelect={() => {
            replace({
              project: demoProject,
              label: 'Demo project',
              done: say.demoProjectOpenPlace,
            });
          }}
        >
          Open the demo project
        </Item>
      </Menu>
    </>
  );
}

const QUANTITY_NAMES: Readonly<Record<Switchable, string>> = {
  temperature: 'Temperature',
  difference: 'Temperature difference',
  speed: 'Speed',
  mass: 'Mass',
  distance: 'Distance and height',
  smallLength: 'Small lengths',
  area: 'Area',
  bigArea: 'CdA and ClA',
  power: 'Power',
  energy: 'Energy',
  deceleration: 'Deceleration',
  force: 'Force',
  pressure: 'Line pressure',
  airPressure: 'Air pressure',
  torque: 'Torque',
};

/** Units, all together or one by one, and the theme. */
export function SettingsMenu({ open }: MenuProps) {
  const units = useUnits();
  const theme = useTheme();
  const decimals = useDecimals();
  const all = SWITCHABLE.every((q) => units[q] === 'us');
  const none = SWITCHABLE.every((q) => units[q] !== 'us');
  const stay = (event: Event) => event.preventDefault();
  return (
    <Menu {...SETTINGS} open={open}>
      <Head>Units</Head>
      <Choice checked={none} onSelect={() => setUs(SWITCHABLE, false)}>
        All metric
      </Choice>
      <Choice checked={all} onSelect={() => setUs(SWITCHABLE, true)}>
        All US
      </Choice>
      <Line />
      {SWITCHABLE.map((quantity) => {
        const [metric, us] = QUANTITIES[quantity] as readonly { label: string }[];
        const on = units[quantity] === 'us';
        return (
          <DropdownMenu.CheckboxItem
            key={quantity}
            className="menu-item justify-between"
            checked={on}
            onCheckedChange={(checked) => setUs([quantity], checked)}
            onSelect={stay}
          >
            {QUANTITY_NAMES[quantity]}
            <span className="text-[12.5px]">
              <span className={on ? 'opacity-50' : 'font-[660]'}>{metric.label}</span> ·{' '}
              <span className={on ? 'font-[660]' : 'opacity-50'}>{us.label}</span>
            </span>
          </DropdownMenu.CheckboxItem>
        );
      })}
      <Line />
      <Head>Decimals in fields</Head>
      {(['system', 'point', 'comma'] as const).map((option) => (
        <Choice key={option} checked={decimals === option} onSelect={() => setDecimals(option)}>
          {option === 'system' ? 'As the browser' : option === 'point' ? 'Point: 12.5' : 'Comma: 12,5'}
        </Choice>
      ))}
      <Line />
      <Head>Look</Head>
      {(['system', 'light', 'dark'] as const).map((option) => (
        <Choice key={option} checked={theme === option} onSelect={() => setTheme(option)}>
          {option === 'system' ? 'As the system' : option === 'light' ? 'Light' : 'Dark'}
        </Choice>
      ))}
    </Menu>
  );
}

function Choice({
  checked,
  onSelect,
  children,
}: {
  checked: boolean;
  onSelect: () => void;
  children: ReactNode;
}) {
  return (
    <DropdownMenu.CheckboxItem
      className="menu-item justify-between"
      checked={checked}
      onCheckedChange={onSelect}
    >
      {children}
      <DropdownMenu.ItemIndicator>
        <Check size={15} aria-hidden="true" />
      </DropdownMenu.ItemIndicator>
    </DropdownMenu.CheckboxItem>
  );
}
