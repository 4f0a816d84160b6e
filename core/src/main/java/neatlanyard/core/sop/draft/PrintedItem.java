package neatlanyard.core.sop.draft;

/**
 * One line of a printed checklist.
 *
 * @param line where it stands in its file, from 1
 * @param list the heading it stands under
 * @param who whose it is, as printed; empty where nothing is
 * @param where where it is done, as printed; empty where nothing is
 */
public record PrintedItem(int line, String list, String challenge, String response, String who, String where) {}
