import { type ComponentType, lazy, type ReactElement } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { FirstAccount } from './accounts/FirstAccount';
import { SignIn } from './accounts/SignIn';
import { useGroup } from './accounts/group';
import { useSession } from './accounts/session';
import { usePulse } from './api/fresh';
import { Skip } from './ui/Skip';
import { ListsPage } from './lists/ListsPage';
import { PAGES, routed } from './pages';
import { Notice } from './ui/Notice';

/** A page that comes when it is looked at: the first one is there sooner. */
const page = <Name extends string>(load: () => Promise<Record<Name, ComponentType>>, name: Name) =>
  lazy(async () => ({ default: (await load())[name] }));

const AbroadPage = page(() => import('./abroad/AbroadPage'), 'AbroadPage');
const AccountPage = page(() => import('./accounts/AccountPage'), 'AccountPage');
const AdditionsPage = page(() => import('./additions/AdditionsPage'), 'AdditionsPage');
const BenchPage = page(() => import('./bench/BenchPage'), 'BenchPage');
const OwnCardPage = page(() => import('./card/OwnCardPage'), 'OwnCardPage');
const DeskPage = page(() => import('./desk/DeskPage'), 'DeskPage');
const FitPage = page(() => import('./fit/FitPage'), 'FitPage');
const IntakePage = page(() => import('./intake/IntakePage'), 'IntakePage');
const OwnRadioPage = page(() => import('./keypad/OwnRadioPage'), 'OwnRadioPage');
const OperationPage = page(() => import('./operations/OperationPage'), 'OperationPage');
const OperationsPage = page(() => import('./operations/OperationsPage'), 'OperationsPage');
const PaperPage = page(() => import('./keypad/PaperPage'), 'PaperPage');
const TrainerPage = page(() => import('./keypad/TrainerPage'), 'TrainerPage');
const LogPage = page(() => import('./log/LogPage'), 'LogPage');
const MatrixPage = page(() => import('./matrix/MatrixPage'), 'MatrixPage');
const InstallationPage = page(() => import('./people/InstallationPage'), 'InstallationPage');
const InvitationPage = page(() => import('./people/InvitationPage'), 'InvitationPage');
const PasswordPage = page(() => import('./people/PasswordPage'), 'PasswordPage');
const PeoplePage = page(() => import('./people/PeoplePage'), 'PeoplePage');
const PlanPage = page(() => import('./plans/PlanPage'), 'PlanPage');
const ProposePage = page(() => import('./propose/ProposePage'), 'ProposePage');
const ByHandPage = page(() => import('./radios/ByHandPage'), 'ByHandPage');
const RadiosPage = page(() => import('./radios/RadiosPage'), 'RadiosPage');
const ReachPage = page(() => import('./reach/ReachPage'), 'ReachPage');
const GatePage = page(() => import('./releases/GatePage'), 'GatePage');
const ReleasePage = page(() => import('./releases/ReleasePage'), 'ReleasePage');
const ReleasesPage = page(() => import('./releases/ReleasesPage'), 'ReleasesPage');
const RosterPage = page(() => import('./roster/RosterPage'), 'RosterPage');
const RulebookPage = page(() => import('./rulebooks/RulebookPage'), 'RulebookPage');
const SitePage = page(() => import('./site/SitePage'), 'SitePage');
const StationsPage = page(() => import('./stations/StationsPage'), 'StationsPage');
const VersionsPage = page(() => import('./versions/VersionsPage'), 'VersionsPage');
const PlacePage = lazy(() => import('./places/PlacePage'));

/** What is shown at each address of the table of pages. */
const ELEMENTS: Readonly<Record<string, ReactElement>> = {
  '/lists': <ListsPage />,
  '/lists/{list}': <DeskPage />,
  '/lists/{list}/who': <MatrixPage />,
  '/lists/{list}/fit': <FitPage />,
  '/lists/{list}/reach': <ReachPage />,
  '/lists/{list}/propose': <ProposePage />,
  '/lists/{list}/site': <SitePage />,
  '/lists/{list}/abroad': <AbroadPage />,
  '/lists/{list}/keypad': <PaperPage />,
  '/lists/{list}/place': <PlacePage />,
  '/lists/{list}/versions': <VersionsPage />,
  '/lists/{list}/release': <GatePage />,
  '/operations': <OperationsPage />,
  '/operations/{operation}': <OperationPage />,
  '/roster': <RosterPage />,
  '/radios': <RadiosPage />,
  '/radios/{unit}/by-hand': <ByHandPage />,
  '/bench': <BenchPage />,
  '/bench/{run}': <BenchPage />,
  '/stations': <StationsPage />,
  '/releases': <ReleasesPage />,
  '/releases/{release}': <ReleasePage />,
  '/plan': <PlanPage />,
  '/rulebook': <RulebookPage />,
  '/people': <PeoplePage />,
  '/log': <LogPage />,
  '/intake/{intake}': <IntakePage />,
  '/trainer': <TrainerPage />,
  '/own-radio': <OwnRadioPage />,
  '/account': <AccountPage />,
  '/installation': <InstallationPage />,
  '/installation/rulebooks': <AdditionsPage />,
};

const ROUTES = PAGES.filter(({ path }) => path in ELEMENTS);

/** The addresses of the application; everything but the first account wants somebody signed in. */
export function App() {
  const session = useSession();
  const { group } = useGroup();
  usePulse(group?.rights.includes('see') ? group.id : undefined);
  if (window.location.pathname === '/first-account') return <FirstAccount />;
  if (window.location.pathname === '/password') return <PasswordPage />;
  if (window.location.pathname === '/invitation') return session.isPending ? null : <InvitationPage />;
  if (session.isPending) return null;
  if (session.error)
    return (
      <main className="p-6">
        <Notice message={session.error.message} />
      </main>
    );
  if (!session.data.account) return <SignIn />;
  const sees = !group || group.rights.includes('see');
  return (
    <>
      {sees && <Skip />}
      <Routes>
        {ROUTES.filter(
          ({ groupless, memberHeader, path }) => sees || groupless || (memberHeader && path !== '/lists'),
        ).map(({ path }) => (
          <Route key={path} path={routed(path)} element={ELEMENTS[path]} />
        ))}
        <Route path="*" element={sees ? <Navigate to="/lists" replace /> : <OwnCardPage />} />
      </Routes>
    </>
  );
}
