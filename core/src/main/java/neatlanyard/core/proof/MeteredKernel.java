package neatlanyard.core.proof;

import java.util.List;
import org.logicng.formulas.FormulaFactory;
import org.logicng.formulas.Variable;
import org.logicng.knowledgecompilation.bdds.jbuddy.BDDKernel;

/** Decision diagrams whose every node is counted: the library by itself has no bound within one operation. */
final class MeteredKernel extends BDDKernel {
  private static final int NODES = 20_000;

  private final Budget.Meter meter;

  MeteredKernel(FormulaFactory formulas, List<Variable> order, Budget.Meter meter) {
    // The library makes its first nodes while it is constructed.
    this.meter = meter;
    super(formulas, order, NODES, NODES);
  }

  @Override
  protected int makeNode(int level, int low, int high) {
    meter.spend();
    return super.makeNode(level, low, high);
  }

  @Override
  protected int apply(int left, int right, Operand operand) {
    meter.spend();
    return super.apply(left, right, operand);
  }

  /** After a question was given up in the middle of an operation: what it had on its stack is dropped. */
  void recover() {
    initRef();
  }
}
