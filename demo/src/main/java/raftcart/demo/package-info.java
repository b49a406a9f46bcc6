/** The demo database and the embedded servers that the demo and the tests run on. */
package raftcart.demo;
