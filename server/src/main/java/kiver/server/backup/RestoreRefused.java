package kiver.server.backup;

/** What stands in the way of bringing a copy back; nothing was changed. */
final class RestoreRefused extends Exception {

    RestoreRefused(String why) {
        super(why);
    }
}
