import "../global.css";
import { PortalHost } from "@rn-primitives/portal";
import { Slot, usePathname } from "expo-router";
import Head from "expo-router/head";
import { lazy, useEffect } from "react";
import { View } from "react-native";
import { useSession } from "../src/api/session";
import { LoadedPage } from "../src/components/LoadedPage";
import { Pending } from "../src/components/Waiting";
import { NewVersion } from "../src/device/NewVersion";
import { openWithoutSignal } from "../src/device/serviceWorker";
import { TurnNotice } from "../src/device/TurnNotice";
import { wouldLose } from "../src/sync/outbox";
import { outbox } from "../src/sync/outboxInstance";
import { loadFonts } from "../src/theme/fonts";
import { takeStyleNonce } from "../src/theme/styleNonce";

takeStyleNonce();
loadFonts();

const SecondFactorFirst = lazy(() =>
  import("../src/account/SecondFactorFirst").then((page) => ({ default: page.SecondFactorFirst })),
);

/** Whoever is signed in does not see it. */
const SignIn = lazy(() => import("../src/account/SignIn").then((page) => ({ default: page.SignIn })));

export default function Root() {
  useEffect(() => {
    const flush = () => void outbox.flush();
    window.addEventListener("online", flush);
    openWithoutSignal();
    const leaving = (event: BeforeUnloadEvent) => {
      if (wouldLose(outbox.read())) event.preventDefault();
    };
    window.addEventListener("beforeunload", leaving);
    return () => {
      window.removeEventListener("online", flush);
      window.removeEventListener("beforeunload", leaving);
    };
  }, []);
  return (
    <View className="h-screen bg-paper">
      <Gate />
      <PortalHost />
    </View>
  );
}

const BY_LINK: ReadonlySet<string> = new Set(["/invitation", "/new-password", "/confirm"]);

/** Signed out, every address shows the sign-in page, and goes on to where it pointed afterwards. */
function Gate() {
  const session = useSession();
  const pathname = usePathname();
  useEffect(() => {
    if (session.data) void outbox.open(session.data.user.id);
    if (session.data === null) outbox.close();
  }, [session.data]);
  // Links in letters are for whoever has them, signed in or not.
  if (BY_LINK.has(pathname)) return <Slot />;
  if (session.data === undefined) {
    return <Pending error={session.error} what="your company" retry={() => void session.mutate()} />;
  }
  if (session.data === null) {
    return (
      <LoadedPage>
        <SignIn />
      </LoadedPage>
    );
  }
  if (session.data.needsSecondFactor) {
    return (
      <LoadedPage>
        <SecondFactorFirst session={session.data} />
      </LoadedPage>
    );
  }
  return (
    <>
      <Head>
        <title>{pathname.startsWith("/jobs/") ? "Job · Wide Porch" : "Wide Porch"}</title>
      </Head>
      <NewVersion />
      <TurnNotice />
      <View className="min-h-0 flex-1">
        <Slot />
      </View>
    </>
  );
}
