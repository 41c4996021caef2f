import { Component, type ReactNode } from 'react';
import { Button } from './Button';
import { Notice } from './Notice';

/** When a page cannot be drawn, such as after the application was replaced under an open page: says so, and what helps. */
export class Fault extends Component<{ children: ReactNode }, { failed: boolean }> {
  state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  render() {
    if (!this.state.failed) return this.props.children;
    return (
      <main className="mx-auto max-w-2xl p-6">
        <Notice message="This page could not be opened. What was saved is safe; load the page again.">
          <Button onClick={() => window.location.reload()}>Load again</Button>
        </Notice>
      </main>
    );
  }
}
