package raftcart.rewrite;

import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.Expr;

/** Adapts what stands for values that the application binds, and variables of the session and of the client. */
final class ParameterAdapter {
    private final ExprAdapter adapter;
    private final FunctionAdapter functions;

    ParameterAdapter(ExprAdapter adapter, FunctionAdapter functions) {
        this.adapter = adapter;
        this.functions = functions;
    }

    Expr adapt(Expr.Parameter parameter) {
        String text = parameter.text();
        if (text.startsWith("&")) {
            throw new Untranslatable("the substitution variable " + text + ", which the client replaces");
        }
        if (text.startsWith("@@")) {
            return functions.systemVariable(parameter);
        }
        if (adapter.from.name().equals(adapter.to.name())) {
            return parameter;
        }
        if (text.equals("?")) {
            return Placeholders.marked(parameter);
        }
        if (text.startsWith("$") && adapter.from.has(SqlFeature.PLACES_BY_DOLLAR)) {
            boolean place = text.matches("\\$\\d+");
            throw new Untranslatable(
                    place ? "the column " + text + ", by its place" : "the session's variable " + text);
        }
        boolean number = text.matches("[$:]\\d+");
        if (number) {
            String digits = text.substring(1);
            return adapter.to.has(SqlFeature.NUMBERED_BY_DOLLAR)
                    ? new Expr.Parameter("$" + digits, parameter.span())
                    : adapter.to.has(SqlFeature.NUMBERED_BY_COLON)
                            ? new Expr.Parameter(":" + digits, parameter.span())
                            : Placeholders.numbered(digits, parameter.span());
        }
        if (text.matches("@\\w+")) {
            if (adapter.from.has(SqlFeature.SESSION_VARIABLES)) {
                return ofSession(parameter);
            }
            return adapter.to.has(SqlFeature.OUTPUT)
                    ? parameter
                    : new Expr.Parameter(":" + text.substring(1), parameter.span());
        }
        return parameter;
    }

    private Expr ofSession(Expr.Parameter variable) {
        if (!adapter.to.has(SqlFeature.SESSION_VARIABLES)) {
            throw new Untranslatable("the session's variable " + variable.text());
        }
        return variable;
    }
}
