import { Component, type PropsWithChildren, type ReactNode, Suspense } from "react";
import { View } from "react-native";
import { Button } from "./Button";
import { Notice } from "./Notice";
import { Body } from "./Text";
import { Waiting } from "./Waiting";

/** A part of the app that cannot be fetched: there is no signal, or it is of a program that is no more. */
const couldNotLoad = (error: unknown): boolean =>
  error instanceof Error &&
  /loading (chunk|module)|load(ing)? .*(failed|script)|dynamically imported|failed to fetch/i.test(
    `${error.name} ${error.message}`,
  );

type State = { readonly error: unknown };

class LoadBoundary extends Component<PropsWithChildren, State> {
  override state: State = { error: undefined };

  static getDerivedStateFromError(error: unknown): State {
    return { error };
  }

  override render(): ReactNode {
    const { error } = this.state;
    if (error === undefined) return this.props.children;
    // Any other fault is not this one's to hide.
    if (!couldNotLoad(error)) throw error;
    return (
      <View className="p-4">
        <Notice title="This page could not be loaded" live>
          <Body>There is no signal, or there is a newer version of Wide Porch. What you entered is kept.</Body>
          <Button label="Reload" kind="plain" onPress={() => window.location.reload()} />
        </Notice>
      </View>
    );
  }
}

/** Stands in for a screen that is loaded when it is first opened. */
export function LoadedPage({ children }: PropsWithChildren) {
  return (
    <LoadBoundary>
      <Suspense
        fallback={
          <View className="p-6">
            <Waiting what="this page" />
          </View>
        }
      >
        {children}
      </Suspense>
    </LoadBoundary>
  );
}
