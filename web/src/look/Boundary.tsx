import { Component, Suspense, type ReactNode } from 'react';
import { say } from '../words/say';

/** Where a page cannot be shown at all: its code could not be fetched, or it failed. The rest of the screen stays. */
export class Boundary extends Component<{ children: ReactNode; at: string }, { failedAt: string | undefined }> {
  override state = { failedAt: undefined as string | undefined };

  static getDerivedStateFromError(): { failedAt: string } {
    return { failedAt: window.location.pathname };
  }

  override render(): ReactNode {
    if (this.state.failedAt !== this.props.at) return this.props.children;
    return (
      <div role="alert" className="board m-4 max-w-xl border-l-4 border-l-brick p-4">
        <h2>{navigator.onLine ? say('This page cannot be shown') : say('Offline')}</h2>
        <p className="my-2">
          {navigator.onLine
            ? say('Load it again. What you recorded is kept.')
            : say('It is not on this device yet, and there is no connection. What you recorded is kept.')}
        </p>
        <button className="act" onClick={() => window.location.reload()}>
          {say('Try again')}
        </button>
      </div>
    );
  }
}

/** What the page can do without: it comes when it is fetched, and stays away where it cannot be. */
export class Dispensable extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError(): { failed: boolean } {
    return { failed: true };
  }

  override render(): ReactNode {
    return this.state.failed ? null : <Suspense>{this.props.children}</Suspense>;
  }
}
