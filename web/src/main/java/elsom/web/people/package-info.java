/**
 * Who works here and what each did: accounts, signing in on devices, invitations, links to a report, and the log of writes. Who
 * may do what is said in {@link elsom.web.platform.Rights}; what a trial holds does not belong here.
 */
@NullMarked
package elsom.web.people;

import org.jspecify.annotations.NullMarked;
