/** Files as they come: lists in Wache's own formats, workbooks and text, told apart by what is in them. */
package org.wache.arrival;
