import { Navigate, Route, Routes } from 'react-router';
import { FirstAccount } from './accounts/FirstAccount';
import { SignIn } from './accounts/SignIn';
import { useSession } from './accounts/session';
import { DeskPage } from './desk/DeskPage';
import { ListsPage } from './lists/ListsPage';
import { Notice } from './ui/Notice';

/** The addresses of the application; everything but the first account wants somebody signed in. */
export function App() {
  const session = useSession();
  if (window.location.pathname === '/first-account') return <FirstAccount />;
  if (session.isPending) return null;
  if (session.error)
    return (
      <main className="p-6">
        <Notice message={session.error.message} />
      </main>
    );
  if (!session.data.account) return <SignIn />;
  return (
    <Routes>
      <Route path="/" element={<Navigate to="/lists" replace />} />
      <Route path="/lists" element={<ListsPage />} />
      <Route path="/lists/:list" element={<DeskPage />} />
      <Route path="*" element={<Navigate to="/lists" replace />} />
    </Routes>
  );
}
