import { lazy, Suspense } from 'react';
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
import { PaperPage } from './keypad/PaperPage';
import { TrainerPage } from './keypad/TrainerPage';
import { ListsPage } from './lists/ListsPage';
import { MatrixPage } from './matrix/MatrixPage';
import { PlanPage } from './plans/PlanPage';
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
import { Fault } from './ui/Fault';
import { Notice } from './ui/Notice';

// The map's outlines are a third of the application; they come when a place is looked at.
const PlacePage = lazy(() => import('./places/PlacePage'));

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
  if (group && !group.rights.includes('see'))
    return (
      <Fault>
        <Routes>
          <Route path="/rulebook" element={<RulebookPage />} />
          <Route path="/account" element={<AccountPage />} />
          <Route path="/installation" element={<InstallationPage />} />
          <Route path="/installation/rulebooks" element={<AdditionsPage />} />
          <Route path="*" element={<OwnCardPage />} />
        </Routes>
      </Fault>
    );
  return (
    <Fault>
      <Skip />
      <Suspense fallback={<p className="text-soft p-6">Opening …</p>}>
        <Routes>
          <Route path="/" element={<Navigate to="/lists" replace />} />
          <Route path="/lists" element={<ListsPage />} />
          <Route path="/lists/:list" element={<DeskPage />} />
          <Route path="/lists/:list/who" element={<MatrixPage />} />
          <Route path="/lists/:list/fit" element={<FitPage />} />
          <Route path="/lists/:list/site" element={<SitePage />} />
          <Route path="/lists/:list/abroad" element={<AbroadPage />} />
          <Route path="/lists/:list/keypad" element={<PaperPage />} />
          <Route path="/lists/:list/place" element={<PlacePage />} />
          <Route path="/lists/:list/versions" element={<VersionsPage />} />
          <Route path="/lists/:list/release" element={<GatePage />} />
          <Route path="/releases" element={<ReleasesPage />} />
          <Route path="/releases/:release" element={<ReleasePage />} />
          <Route path="/people" element={<PeoplePage />} />
          <Route path="/installation" element={<InstallationPage />} />
          <Route path="/account" element={<AccountPage />} />
          <Route path="/log" element={<LogPage />} />
          <Route path="/intake/:intake" element={<IntakePage />} />
          <Route path="/roster" element={<RosterPage />} />
          <Route path="/radios" element={<RadiosPage />} />
          <Route path="/bench" element={<BenchPage />} />
          <Route path="/bench/:run" element={<BenchPage />} />
          <Route path="/stations" element={<StationsPage />} />
          <Route path="/installation/rulebooks" element={<AdditionsPage />} />
          <Route path="/trainer" element={<TrainerPage />} />
          <Route path="/plan" element={<PlanPage />} />
          <Route path="/rulebook" element={<RulebookPage />} />
          <Route path="*" element={<Navigate to="/lists" replace />} />
        </Routes>
      </Suspense>
    </Fault>
  );
}
