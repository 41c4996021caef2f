/**
 * Lists: their store, their one way of being changed, and what each change does to their judgement.
 * The screens over them have rooms of their own, and are not known here.
 */
package org.wache.server.lists;
