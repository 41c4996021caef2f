import { lazy, type ReactElement, Suspense } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { FirstAccount } from './accounts/FirstAccount';
import { SignIn } from './accounts/SignIn';
import { useGroup } from './accounts/group';
import { useSession } from './accounts/session';
import { usePulse } from './api/fresh';
import { Skip } from './ui/Skip';
import { BenchPage } from './bench/BenchPage';
import { OwnCardPage } from './card/OwnCardPage';
import { DeskPage } from './desk/DeskPage';
import { FitPage } from './fit/FitPage';
import { IntakePage } from './intake/IntakePage';
import { OwnRadioPage } from './keypad/OwnRadioPage';
import { PaperPage } from './keypad/PaperPage';
import { TrainerPage } from './keypad/TrainerPage';
import { ListsPage } from './lists/ListsPage';
import { MatrixPage } from './matrix/MatrixPage';
import { PlanPage } from './plans/PlanPage';
import { ByHandPage } from './radios/ByHandPage';
import { RadiosPage } from './radios/RadiosPage';
import { RosterPage } from './roster/RosterPage';
import { RulebookPage } from './rulebooks/RulebookPage';
import { AccountPage } from './accounts/AccountPage';
import { LogPage } from './log/LogPage';
import { InstallationPage } from './people/InstallationPage';
import { InvitationPage } from './people/InvitationPage';
import { PasswordPage } from './people/PasswordPage';
import { PeoplePage } from './people/PeoplePage';
import { GatePage } from './releases/GatePage';
import { ReleasePage } from './releases/ReleasePage';
import { ReleasesPage } from './releases/ReleasesPage';
import { SitePage } from './site/SitePage';
import { StationsPage } from './stations/StationsPage';
import { AbroadPage } from './abroad/AbroadPage';
import { AdditionsPage } from './additions/AdditionsPage';
import { VersionsPage } from './versions/VersionsPage';
import { PAGES, routed } from './pages';
import { Fault } from './ui/Fault';
import { Notice } from './ui/Notice';

// The map's outlines are a third of the application; they come when a place is looked at.
const PlacePage = lazy(() => import('./places/PlacePage'));

/** What is shown at each address of the table of pages. */
const ELEMENTS: Readonly<Record<string, ReactElement>> = {
  '/lists': <ListsPage />,
  '/lists/{list}': <DeskPage />,
  '/lists/{list}/who': <MatrixPage />,
  '/lists/{list}/fit': <FitPage />,
  '/lists/{list}/site': <SitePage />,
  '/lists/{list}/abroad': <AbroadPage />,
  '/lists/{list}/keypad': <PaperPage />,
  '/lists/{list}/place': <PlacePage />,
  '/lists/{list}/versions': <VersionsPage />,
  '/lists/{list}/release': <GatePage />,
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
    <Fault>
      {sees && <Skip />}
      <Suspense fallback={<p className="text-soft p-6">Opening …</p>}>
        <Routes>
          {ROUTES.filter(
            ({ groupless, memberHeader, path }) => sees || groupless || (memberHeader && path !== '/lists'),
          ).map(({ path }) => (
            <Route key={path} path={routed(path)} element={ELEMENTS[path]} />
          ))}
          <Route path="*" element={sees ? <Navigate to="/lists" replace /> : <OwnCardPage />} />
        </Routes>
      </Suspense>
    </Fault>
  );
}
