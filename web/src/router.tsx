import {
  createRootRoute,
  createRoute,
  createRouter,
  lazyRouteComponent,
  Navigate,
  Outlet,
  useRouterState,
} from '@tanstack/react-router';
import { Problem } from './api/client';
import { useSession } from './api/account';
import { useTank, useTanks } from './api/homes';
import { Frame } from './frame/Frame';
import { HouseStrip } from './frame/HouseStrip';
import { lastTank, pickTank, useLastTank } from './frame/lastTank';
import { FORMER_ROUTE, placeAt, placesOf } from './frame/places';
import { useHelper } from './frame/useHelper';
import { typedBy } from './lib/kept';
import { BrokenScreen } from './parts/BrokenScreen';
import { Notices } from './parts/Notices';
import { Waiting } from './parts/Waiting';
import { AddToLog } from './places/read/AddToLog';
import { Today } from './places/read/Today';
import { House } from './places/house/House';
import { HelpDoor } from './places/welcome/HelpDoor';
import { TransportScreen } from './places/guard/TransportScreen';
import { OxygenMarginScreen } from './places/guard/OxygenMarginScreen';
import { OutageScreen } from './places/guard/OutageScreen';
import { ReadinessScreen } from './places/guard/ReadinessScreen';
import { StaircaseScreen, type StaircaseSearch } from './places/reason/StaircaseScreen';
import { readSet, type NamedSet } from './places/try/bench/sets';
import { Welcome } from './places/welcome/Welcome';
import { TankContext } from './TankContext';
import type { InputName, GasBalanceHour, MomentName } from './api/types';

const root = createRootRoute({
  component: () => (
    <Notices>
      <Outlet />
    </Notices>
  ),
  notFoundComponent: () => (
    <Frame>
      <NothingHere />
    </Frame>
  ),
});

function NothingHere() {
  return (
    <>
      <h1 className="text-2xl font-bold">There is nothing at this address.</h1>
      <a href="/" className="underline underline-offset-4">
        Go to the start
      </a>
    </>
  );
}

/** Everything but the welcome needs a keeper. */
function SignedIn() {
  const session = useSession();
  if (!session.data) return <Waiting error={session.error} retry={() => void session.refetch()} />;
  if (!session.data.keeper) return <Navigate to="/welcome" />;
  typedBy(session.data.keeper);
  return <Outlet />;
}

/** The door: to the tank looked at last, or to the first description. */
function Door() {
  const tanks = useTanks();
  const helper = useHelper();
  if (!tanks.data) return <Waiting error={tanks.error} retry={() => void tanks.refetch()} />;
  const tank = pickTank(tanks.data);
  if (!helper && tanks.data.length > 1) return <Navigate to="/house" />;
  return tank ? (
    <Navigate
      to={helper ? '/tank/$tankId/outage' : '/tank/$tankId/today'}
      params={{ tankId: tank.id }}
    />
  ) : helper ? (
    <p className="p-6">There is no tank in this home yet.</p>
  ) : (
    <Navigate to="/begin" />
  );
}

function AtTank() {
  const { tankId } = tankRoute.useParams();
  const tank = useTank(tankId);
  const session = useSession();
  if (!tank.data || !session.data?.units) {
    const gone = tank.error instanceof Problem && tank.error.status === 404;
    return (
      <Frame>
        <Waiting error={tank.error} retry={() => void tank.refetch()} />
        {gone && (
          <a href="/" className="px-6 underline underline-offset-4">
            Go to the start
          </a>
        )}
      </Frame>
    );
  }
  lastTank.set(tankId);
  return (
    <TankContext value={{ tank: tank.data, units: session.data.units }}>
      <Frame tank={tank.data} key={tankId}>
        <Within />
      </Frame>
    </TankContext>
  );
}

/** What a helper was not let in for is said in words, whatever link led there. */
function Within() {
  const helper = useHelper();
  const path = useRouterState({ select: (s) => s.location.pathname });
  const open = !helper || placeAt(path, placesOf(true)).screen;
  return open ? <Outlet /> : <p className="text-lg">Only the keeper can open this screen.</p>;
}

const help = createRoute({ getParentRoute: () => root, path: '/help', component: HelpDoor });
const welcome = createRoute({ getParentRoute: () => root, path: '/welcome', component: Welcome });
const parts = createRoute({
  getParentRoute: () => root,
  path: '/parts',
  component: lazyRouteComponent(() => import('./parts/Gallery'), 'Gallery'),
});
const signedIn = createRoute({ getParentRoute: () => root, id: 'signed-in', component: SignedIn });
const door = createRoute({ getParentRoute: () => signedIn, path: '/', component: Door });
const begin = createRoute({
  getParentRoute: () => signedIn,
  path: '/begin',
  component: lazyRouteComponent(() => import('./places/begin/Begin'), 'Begin'),
});
const SETTINGS_PARTS = ['units', 'homes', 'helpers', 'access'] as const;
type SettingsPart = (typeof SETTINGS_PARTS)[number];

const settings = createRoute({
  getParentRoute: () => signedIn,
  path: '/settings',
  component: lazyRouteComponent(() => import('./places/settings/Settings'), 'Settings'),
  validateSearch: (search: Record<string, unknown>): { part?: SettingsPart } => ({
    part: SETTINGS_PARTS.find((part) => part === search.part),
  }),
});
const house = createRoute({
  getParentRoute: () => signedIn,
  path: '/house',
  component: function AtHouse() {
    const tank = useLastTank();
    return (
      <Frame tank={tank} strip={<HouseStrip tank={tank} />}>
        <House />
      </Frame>
    );
  },
});
const tankRoute = createRoute({
  getParentRoute: () => signedIn,
  path: '/tank/$tankId',
  component: AtTank,
});

const INPUTS: readonly string[] = [
  'PH',
  'ALKALINITY',
  'TEMPERATURE',
  'SALINITY',
  'ROOM_CO2',
  'OUTDOOR_CO2',
];

const addToLog = createRoute({
  getParentRoute: () => tankRoute,
  path: 'add-to-log',
  component: AddToLog,
  validateSearch: (
    search: Record<string, unknown>,
  ): { measure?: InputName; checked?: boolean } => ({
    measure:
      typeof search.measure === 'string' && INPUTS.includes(search.measure)
        ? (search.measure as InputName)
        : undefined,
    checked: search.checked === true ? true : undefined,
  }),
});

const day = (value: unknown) =>
  typeof value === 'string' && /^\d{4}-\d\d-\d\d$/.test(value) ? value : undefined;

const aDay = (search: Record<string, unknown>): { day?: string } => ({ day: day(search.day) });

const today = createRoute({
  getParentRoute: () => tankRoute,
  path: 'today',
  component: Today,
  validateSearch: aDay,
});

const probe = createRoute({
  getParentRoute: () => tankRoute,
  path: 'probe',
  component: lazyRouteComponent(() => import('./places/read/probe/ProbeScreen'), 'ProbeScreen'),
});

const instant = (value: unknown) =>
  typeof value === 'string' && !Number.isNaN(Date.parse(value)) ? value : undefined;

const history = createRoute({
  getParentRoute: () => tankRoute,
  path: 'history',
  component: lazyRouteComponent(() => import('./places/read/HistoryScreen'), 'HistoryScreen'),
  validateSearch: (search: Record<string, unknown>): { from?: string; to?: string } => ({
    from: instant(search.from),
    to: instant(search.to),
  }),
});

const bring = createRoute({
  getParentRoute: () => tankRoute,
  path: 'bring',
  component: lazyRouteComponent(() => import('./places/read/bring/Bring'), 'Bring'),
  validateSearch: (search: Record<string, unknown>): { file?: number } => ({
    file: typeof search.file === 'number' ? search.file : undefined,
  }),
});

const MOMENTS: readonly string[] = ['BEFORE_LIGHTS_ON', 'BEFORE_LIGHTS_OFF', 'LATEST'];

const staircase = createRoute({
  getParentRoute: () => tankRoute,
  path: 'staircase',
  component: StaircaseScreen,
  validateSearch: (search: Record<string, unknown>): StaircaseSearch => ({
    moment:
      typeof search.moment === 'string' && MOMENTS.includes(search.moment)
        ? (search.moment as MomentName)
        : undefined,
    at: typeof search.at === 'string' ? search.at : undefined,
  }),
});
const bench = createRoute({
  getParentRoute: () => tankRoute,
  path: 'bench',
  component: lazyRouteComponent(() => import('./places/try/bench/BenchScreen'), 'BenchScreen'),
  validateSearch: (
    search: Record<string, unknown>,
  ): { sets?: NamedSet[]; days?: number; event?: string; sort?: 'cheapest' } => ({
    sets: Array.isArray(search.sets)
      ? search.sets.slice(0, 4).flatMap((set) => readSet(set) ?? [])
      : undefined,
    days: search.days === 14 ? 14 : undefined,
    event: typeof search.event === 'string' ? search.event : undefined,
    sort: search.sort === 'cheapest' ? search.sort : undefined,
  }),
});
const calculators = createRoute({
  getParentRoute: () => tankRoute,
  path: 'calculators',
  component: lazyRouteComponent(
    () => import('./places/try/calculators/Calculators'),
    'Calculators',
  ),
});
const GAS_BALANCE_HOURS: readonly string[] = ['LIGHTS_ON', 'LIGHTS_OFF', 'NOW'];

const gasBalance = createRoute({
  getParentRoute: () => tankRoute,
  path: 'gas-balance',
  component: lazyRouteComponent(
    () => import('./places/reason/GasBalanceScreen'),
    'GasBalanceScreen',
  ),
  validateSearch: (
    search: Record<string, unknown>,
  ): { hour?: GasBalanceHour; over?: 'hour' | 'day' } => ({
    hour:
      typeof search.hour === 'string' && GAS_BALANCE_HOURS.includes(search.hour)
        ? (search.hour as GasBalanceHour)
        : undefined,
    over: search.over === 'day' ? 'day' : undefined,
  }),
});
const twin = createRoute({
  getParentRoute: () => tankRoute,
  path: 'twin',
  component: lazyRouteComponent(() => import('./places/reason/TwinScreen'), 'TwinScreen'),
  validateSearch: aDay,
});
const effects = createRoute({
  getParentRoute: () => tankRoute,
  path: 'effects',
  component: lazyRouteComponent(() => import('./places/reason/EffectsScreen'), 'EffectsScreen'),
  validateSearch: (search: Record<string, unknown>): { at?: string } => ({
    at: instant(search.at),
  }),
});
const suspects = createRoute({
  getParentRoute: () => tankRoute,
  path: 'suspects',
  component: lazyRouteComponent(() => import('./places/reason/SuspectsScreen'), 'SuspectsScreen'),
  validateSearch: (search: Record<string, unknown>): { since?: string } => ({
    since: day(search.since),
  }),
});
const experiment = createRoute({
  getParentRoute: () => tankRoute,
  path: 'experiment',
  component: lazyRouteComponent(
    () => import('./places/reason/ExperimentScreen'),
    'ExperimentScreen',
  ),
});
const media = createRoute({
  getParentRoute: () => tankRoute,
  path: 'media',
  component: lazyRouteComponent(() => import('./places/do/MediaScreen'), 'MediaScreen'),
});
const schedule = createRoute({
  getParentRoute: () => tankRoute,
  path: 'schedule',
  component: lazyRouteComponent(
    () => import('./places/do/schedule/ScheduleScreen'),
    'ScheduleScreen',
  ),
});
const dosing = createRoute({
  getParentRoute: () => tankRoute,
  path: 'dosing',
  component: lazyRouteComponent(() => import('./places/do/DosingScreen'), 'DosingScreen'),
});
const upkeep = createRoute({
  getParentRoute: () => tankRoute,
  path: 'upkeep',
  component: lazyRouteComponent(() => import('./places/do/UpkeepScreen'), 'UpkeepScreen'),
});

const supplies = createRoute({
  getParentRoute: () => tankRoute,
  path: 'supplies',
  component: lazyRouteComponent(() => import('./places/do/SuppliesScreen'), 'SuppliesScreen'),
});
const oxygenMargin = createRoute({
  getParentRoute: () => tankRoute,
  path: 'oxygen-margin',
  component: OxygenMarginScreen,
});
const readiness = createRoute({
  getParentRoute: () => tankRoute,
  path: 'readiness',
  component: ReadinessScreen,
});
const outage = createRoute({
  getParentRoute: () => tankRoute,
  path: 'outage',
  component: OutageScreen,
});
const transport = createRoute({
  getParentRoute: () => tankRoute,
  path: 'transport',
  component: TransportScreen,
});
const handbook = createRoute({
  getParentRoute: () => tankRoute,
  path: 'handbook',
  component: lazyRouteComponent(() => import('./places/learn/Handbook'), 'Handbook'),
});
const description = createRoute({
  getParentRoute: () => tankRoute,
  path: 'description',
  component: lazyRouteComponent(() => import('./places/begin/Description'), 'Description'),
});

const card = createRoute({
  getParentRoute: () => tankRoute,
  path: 'card',
  validateSearch: (search: Record<string, unknown>): { line?: string } => ({
    line: typeof search.line === 'string' ? search.line : undefined,
  }),
  component: lazyRouteComponent(() => import('./places/do/MixingCardScreen'), 'MixingCardScreen'),
});
const chapter = createRoute({
  getParentRoute: () => tankRoute,
  path: 'chapters/$chapterId',
  component: lazyRouteComponent(
    () => import('./places/begin/EarlierDescription'),
    'EarlierDescription',
  ),
});

/** An address from before screens had today's names. */
const former = createRoute({
  getParentRoute: () => tankRoute,
  path: '$former',
  component: function Former() {
    const { tankId, former: name } = former.useParams();
    const to = FORMER_ROUTE[name];
    return to ? <Navigate to={to} params={{ tankId }} search={true} replace /> : <NothingHere />;
  },
});

/** What a keeper needs when things fail is in the first page; the rest comes when it is opened. */
export const router = createRouter({
  defaultErrorComponent: BrokenScreen,
  defaultPreload: 'intent',
  routeTree: root.addChildren([
    help,
    welcome,
    parts,
    signedIn.addChildren([
      door,
      begin,
      settings,
      house,
      tankRoute.addChildren([
        today,
        history,
        addToLog,
        probe,
        bring,
        staircase,
        gasBalance,
        twin,
        suspects,
        effects,
        experiment,
        bench,
        calculators,
        media,
        schedule,
        dosing,
        upkeep,
        supplies,
        readiness,
        outage,
        oxygenMargin,
        transport,
        handbook,
        description,
        chapter,
        card,
        former,
      ]),
    ]),
  ]),
});

declare module '@tanstack/react-router' {
  interface Register {
    router: typeof router;
  }
}
