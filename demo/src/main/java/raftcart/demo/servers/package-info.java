/** Real database servers, started from Maven binaries in a temporary folder and gone without a trace afterwards. */
package raftcart.demo.servers;
