/**
 * Files: lists, contexts, audits and releases,
 * read strictly, written the same way every time.
 */
package org.wache.exchange;
